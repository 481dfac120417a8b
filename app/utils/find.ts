/** What the Daybook is narrowed by; an empty text is no wish. */
export interface Find {
  readonly problem: string
  readonly step: string
  readonly material: string
  readonly way: string
  readonly slip: string
  readonly help: string
  readonly came: string
  readonly group: string
  readonly from: string
  readonly to: string
}
export const NOTHING_WANTED: Find = {
  problem: '',
  step: '',
  material: '',
  way: '',
  slip: '',
  help: '',
  came: '',
  group: '',
  from: '',
  to: '',
}
