<script setup lang="ts">
/** All controls in each of their states, to be looked at in every theme. Only `npm run dev` has this page. */
const { theme, chosen } = useTheme()
const THEMES = ['light', 'dark', 'contrast', 'system'] as const
const STATES = [
  { name: 'as it is', disabled: false, invalid: false },
  { name: 'wrong', disabled: false, invalid: true },
  { name: 'not to be used', disabled: true, invalid: false },
] as const
const KINDS = [
  { name: 'main', props: {} },
  { name: 'plain', props: { severity: 'secondary' } },
  { name: 'quiet', props: { severity: 'secondary', text: true } },
] as const
const TAGS = ['', 'moss', 'clay', 'plum'] as const
const OPTIONS = ['Base-ten blocks', 'Abacus', 'Number line'].map((label) => ({ label, value: label }))
const MESSAGES = ['success', 'info', 'warn', 'error'] as const
const text = ref('61 − 25')
const number = ref(12)
const choice = ref(OPTIONS[0]!.value)
const ticked = ref(true)
const open = ref(false)
const rows = OPTIONS.map(({ label }, i) => ({ label, need: 18 - 3 * i, have: 12 }))
const words = {
  title: 'Controls',
  facts: 'Every control in each of its states',
  label: 'Label',
  dialog: 'A dialog',
  said: 'Ones of 10 mm fit the choke test cylinder.',
}
</script>

<template>
  <div class="place">
    <PageHeader :title="words.title" :facts="`${words.facts} (${theme})`">
      <SelectButton v-model="chosen" :options="[...THEMES]" :aria-label="words.title" />
    </PageHeader>
    <div class="cards">
      <section v-for="state in STATES" :key="state.name" class="card" :aria-label="state.name">
        <h2>{{ state.name }}</h2>
        <div class="in-row">
          <Button
            v-for="kind in KINDS"
            :key="kind.name"
            v-bind="kind.props"
            :label="kind.name"
            :disabled="state.disabled"
          />
          <Button severity="secondary" :aria-label="words.label" :disabled="state.disabled"><IconPlus /></Button>
        </div>
        <InputText v-model="text" v-bind="state" :aria-label="words.label" />
        <InputNumber v-model="number" v-bind="state" show-buttons :aria-label="words.label" />
        <Select
          v-model="choice"
          v-bind="state"
          :options="OPTIONS"
          option-label="label"
          option-value="value"
          :aria-label="words.label"
        />
        <Textarea v-model="text" v-bind="state" rows="2" :aria-label="words.label" />
        <SelectButton
          v-model="choice"
          v-bind="state"
          :options="OPTIONS"
          option-label="label"
          option-value="value"
          :allow-empty="false"
          :aria-label="words.label"
        />
        <div class="in-row">
          <label class="in-row"
            ><Checkbox v-model="ticked" binary :disabled="state.disabled" :invalid="state.invalid" />
            {{ words.label }}</label
          >
          <label v-for="o in OPTIONS" :key="o.value" class="in-row"
            ><RadioButton
              v-model="choice"
              :value="o.value"
              :name="state.name"
              :disabled="state.disabled"
              :invalid="state.invalid"
            />
            {{ o.label }}</label
          >
        </div>
      </section>
      <section class="card">
        <div class="in-row">
          <span v-for="tag in TAGS" :key="tag" class="tag" :class="tag">{{ tag || words.label }}</span>
          <Button severity="secondary" :label="words.dialog" @click="open = true" />
        </div>
        <Message v-for="severity in MESSAGES" :key="severity" :severity="severity">{{ words.said }}</Message>
        <DataTable :value="rows" sort-field="label" :sort-order="1">
          <Column field="label" sortable :header="words.label" />
          <Column v-for="field in ['need', 'have']" :key="field" :field="field" sortable :header="field" />
        </DataTable>
        <Listbox v-model="choice" :options="OPTIONS" option-label="label" option-value="value" />
        <EmptyState :title="words.title" :facts="words.facts"><Button :label="words.label" /></EmptyState>
      </section>
    </div>
    <Dialog v-model:visible="open" modal :header="words.dialog">{{ words.said }}</Dialog>
  </div>
</template>

<style scoped>
.cards {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(min(100%, 26rem), 1fr));
  gap: 18px;
}
.card {
  display: grid;
  gap: 14px;
  align-content: start;
}
</style>
