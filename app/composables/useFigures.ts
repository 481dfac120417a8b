import { groupedAlike, groupedIn, type Separator } from '../../core/door'

/** Numbers as they are shown, with what the class puts between thousands. */
export function useFigures() {
  const separator = useLocalStorage<Separator>('sett.separator', 'comma')
  const figures = (line: string): string => groupedIn(line, separator.value)
  const column = (numbers: readonly string[]): readonly string[] => groupedAlike(numbers, separator.value)
  return { separator, figures, column }
}
