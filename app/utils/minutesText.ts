/** A length of time as a teacher notes it: “50 s”, “2 min”, “1 min 50 s”, to the nearest ten seconds. */
export function minutesText(ms: number): string {
  const seconds = Math.max(10, Math.round(ms / 10_000) * 10)
  const [minutes, rest] = [Math.floor(seconds / 60), seconds % 60]
  return [minutes ? `${minutes} min` : '', rest ? `${rest} s` : ''].filter(Boolean).join(' ')
}
