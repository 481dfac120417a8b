<script setup lang="ts">
const classroom = useClassroom()
if (classroom.classroom) await navigateTo('/today', { replace: true })
const stones = [
  { act: 'lay 52', line: '52 = 50 + 2' },
  { act: 'exchange 1 ten', line: '52 = 40 + 12' },
  { act: 'take 7 ones', line: '52 − 7 = 45' },
  { act: 'take 3 tens', line: '45 − 30 = 15' },
]
useHead({ title: 'Sett: every move of the hand becomes a true written line' })
</script>

<template>
  <div class="start">
    <div class="words">
      <h1>Every move of the hand becomes a true written line.</h1>
      <ol class="course" aria-label="How 52 − 37 is laid">
        <li v-for="s in stones" :key="s.act">
          <span class="act">{{ s.act }}</span><span class="line learner">{{ s.line }}</span>
        </li>
      </ol>
      <p>
        Ask a problem, move the blocks, and read what each move means. First give the room a name and say who learns
        here. Then you are at the bench, with a problem ready to work.
      </p>
    </div>
    <RoomForm first @done="navigateTo('/bench')" />
  </div>
</template>

<style scoped>
.start {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 34rem);
  gap: clamp(2rem, 6vw, 5rem);
  max-width: 72rem;
  margin: 0 auto;
  padding: clamp(1.5rem, 6vh, 4rem) 1.5rem;
  align-items: start;
}
.words {
  display: grid;
  gap: 1.6rem;
}
h1 {
  font-size: clamp(1.7rem, 3vw, 2.4rem);
  line-height: 1.15;
}
.course {
  list-style: none;
  margin: 0;
  padding: 0;
  display: grid;
  gap: 6px;
}
.course li {
  display: grid;
  grid-template-columns: 11rem 1fr;
  gap: 6px;
}
.course li > span {
  display: flex;
  align-items: center;
  padding: 0.6rem 0.9rem;
  border-radius: 4px;
}
.act {
  background: var(--ink);
  color: var(--paper);
}
.line {
  background: var(--sheet);
  border: 1.5px solid var(--edge);
  font-size: 1.15rem;
}
.course li:last-child .act {
  background: var(--clay);
  color: var(--sheet);
}
@media (max-width: 800px) {
  .start {
    grid-template-columns: minmax(0, 1fr);
  }
  .course li {
    grid-template-columns: 9rem 1fr;
  }
}
</style>
