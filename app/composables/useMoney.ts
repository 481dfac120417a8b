import { currencyOf, DEFAULT_CHOICES, moneyText, valuesOf } from '../../core/door'

/** The money of the classroom: what it pays with, and how it writes an amount. */
export function useMoney() {
  const classroom = useClassroom()
  const money = computed(() => classroom.classroom?.hands.money ?? DEFAULT_CHOICES.money)
  const currency = computed(() => currencyOf(money.value))
  return {
    currency,
    values: computed(() => valuesOf(money.value)),
    shown: (amount: number): string => moneyText(amount, currency.value),
  }
}
