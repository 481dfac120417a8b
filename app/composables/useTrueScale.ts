/** The long edge of a bank card, in millimetres (ISO/IEC 7810, ID-1). */
export const CARD_EDGE = 85.6
/** What a millimetre is on most screens, in pixels: 96 to the inch. */
const USUAL = 96 / 25.4

/** How many pixels a millimetre is on this screen, as it was measured here; the usual number until then. */
export function useTrueScale() {
  const measured = useLocalStorage('sett.px-per-mm', 0)
  const known = computed(() => measured.value >= 2 && measured.value <= 20)
  const perMm = computed(() => (known.value ? measured.value : USUAL))
  /** A card held to the screen is so many pixels long. */
  const measure = (cardPixels: number): void =>
    void (measured.value = Math.round((cardPixels / CARD_EDGE) * 1000) / 1000)
  return { perMm, known, measure }
}
