/** What was tried as statements of the Experience API, version 1.0.3 (ADL, xAPI specification part two; from memory). */

export interface TriedOnce {
  readonly id: string
  /** The learner’s code name. */
  readonly learner: string
  readonly startedAt: string
  readonly kind: 'bench' | 'story' | 'table' | 'note'
  readonly problem: string
  readonly material: string
  readonly mode: string
  readonly right: boolean
  readonly help: string
  readonly durationMs: number
  readonly slips: readonly string[]
}

/** Identifiers of Sett’s own: names only, behind which nothing is to be fetched. */
const OWN = 'https://sett.invalid/xapi'
const ACTIVITY: Readonly<Record<TriedOnce['kind'], string>> = {
  bench: 'a problem worked at the bench',
  story: 'a story',
  table: 'a try at the table',
  note: 'a sitting',
}

/** Milliseconds as a duration of ISO 8601, to hundredths of a second as the specification keeps them: PT12.5S. */
export const durationText = (ms: number): string => `PT${Math.round(ms / 10) / 100}S`

/** One statement: who (by code name) answered what, whether right, how long it took, with how much help and which mistakes. */
export const statementOf = (t: TriedOnce) => ({
  id: t.id,
  actor: { objectType: 'Agent', account: { homePage: OWN, name: t.learner } },
  verb: { id: 'http://adlnet.gov/expapi/verbs/answered', display: { en: 'answered' } },
  object: {
    objectType: 'Activity',
    id: `${OWN}/${t.kind}/${encodeURIComponent(t.problem || 'unnamed')}`,
    definition: {
      type: 'http://adlnet.gov/expapi/activities/question',
      name: { en: t.problem || ACTIVITY[t.kind] },
      description: { en: ACTIVITY[t.kind] },
    },
  },
  result: {
    success: t.right,
    completion: true,
    duration: durationText(t.durationMs),
    extensions: { [`${OWN}/help`]: t.help, [`${OWN}/mode`]: t.mode, [`${OWN}/slips`]: t.slips },
  },
  context: {
    platform: 'Sett',
    ...(t.material ? { extensions: { [`${OWN}/material`]: t.material } } : {}),
  },
  timestamp: t.startedAt,
  version: '1.0.3',
})
