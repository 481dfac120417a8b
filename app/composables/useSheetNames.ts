import { inClassWords, REPRESENTATIONS, isRepresentation } from '../../core/door'
import { MAT_NAMES, PIECE_NAMES } from '../../core/paper/index'
import type { SheetChoice } from '../../shared/prints'
import type { Field } from '../utils/sheets'

/** What sheets and their settings are called. */
export function useSheetNames() {
  const { t } = useI18n()
  const { pack } = useNames()
  const sheetTitle = (sheet: SheetChoice): string =>
    sheet.kind === 'mat'
      ? MAT_NAMES[sheet.mat]
      : sheet.kind === 'pieces'
        ? PIECE_NAMES[sheet.piece]
        : t(`frame.sheet.${sheet.kind}`)
  const fieldName = ({ label }: Field): string => inClassWords(t(`print.field.${label}`), pack.value)
  const optionName = ({ key }: Field, option: string): string =>
    isRepresentation(option) && (key === 'material' || key === 'frame')
      ? REPRESENTATIONS[option].title
      : t(`print.option.${key}.${option}`)
  return { sheetTitle, fieldName, optionName }
}
