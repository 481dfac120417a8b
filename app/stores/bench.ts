import { defineStore } from 'pinia'
import {
  type AbacusChoices,
  ahead,
  attempt,
  type Bench,
  enter,
  hasMat,
  leaving,
  type Mode,
  nextAct,
  nextMoves,
  openBench,
  outcome,
  type PlanRequest,
  printProblem,
  recordOf,
  Refusal,
  reopen,
  type RepresentationId,
  REPRESENTATIONS,
  silentAct,
  spokenMoves,
  translate,
  type WorkRecord,
  listed,
} from '../../core/index'
import type { Outcome, SavedRecord } from '../../shared/schemas'
import { besides } from '../utils/benchRequest'
import { nextProblem } from '../utils/nextProblem'
import type { Draft } from '../utils/kept'
import { request } from '../utils/request'
import { benchDrafts } from './bench/drafts'
import { benchSettings, type Over } from './bench/settings'

/** So many moves a jump along the stones makes at the most. */
const MOST_STEPS = 10_000

/** The bench as it stands: the core's Bench, the settings it was laid with, and what is only seen. */
export const useBench = defineStore('bench', () => {
  const settings = benchSettings()
  const { mode, way, material, beside, byHand, byMove, ownAbacus, abacus } = settings
  const { draft, asides, aside, letGo } = benchDrafts()

  const bench = shallowRef<Bench>(
    openBench({ problem: '52 - 37', representation: 'blocks', also: ['columns', 'equations'] }, 'show'),
  )
  const id = ref<string>(crypto.randomUUID())
  const startedAt = ref(new Date().toISOString())
  const clock = ref(performance.now())
  /** What was refused last, or null. */
  const refusal = shallowRef<Refusal | null>(null)
  const savedLength = ref(0)
  const used = ref<string[]>([])
  /** The stone that hovering or focusing has picked out; the newest otherwise. */
  const picked = ref<number | null>(null)
  const hint = ref(false)
  /** A record being looked at move by move: every bench it went through, and which is shown. */
  const replaying = shallowRef<{ readonly benches: readonly Bench[]; readonly at: number } | null>(null)

  const problem = computed(() => printProblem(bench.value.setup.problem))
  const stones = computed(() => listed(bench.value.now.stones))
  const lit = computed(() => picked.value ?? stones.value.length - 1)
  const next = computed(() => nextAct(bench.value))
  const moves = computed(() => {
    const found = attempt(() => nextMoves(bench.value))
    return 'ok' in found ? found.ok : []
  })
  /** The next number, if what is owed of this one were left. */
  const left = computed(() => leaving(bench.value))
  const upcoming = computed(() => (bench.value.mode === 'show' ? ahead(bench.value) : []))
  const result = computed(() => outcome(bench.value))
  /** The representation that stands beside the main one now, whether it follows or is worked by hand. */
  const second = computed<RepresentationId | null>(() => {
    const { both, all } = bench.value.setup
    return both ?? (beside.value && beside.value !== all[0] && all.includes(beside.value) ? beside.value : null)
  })
  const unsaved = computed(() => bench.value.log.length > savedLength.value)

  /** While the bench is lent to a practice page, nothing of it is kept or set aside: what was there comes back as it was. */
  let lent = false

  /** Lends the bench; what is returned puts everything back as it stood. */
  function lend(): () => void {
    const was = {
      bench: bench.value,
      id: id.value,
      startedAt: startedAt.value,
      clock: clock.value,
      saved: savedLength.value,
      replaying: replaying.value,
      settings: [mode.value, way.value, material.value] as const,
    }
    lent = true
    return () => {
      lent = false
      bench.value = was.bench
      id.value = was.id
      startedAt.value = was.startedAt
      clock.value = was.clock
      savedLength.value = was.saved
      replaying.value = was.replaying
      ;[mode.value, way.value, material.value] = was.settings
      refusal.value = null
      picked.value = null
      hint.value = false
    }
  }

  function keep(): void {
    if (lent) return
    const worked = bench.value.log.length > 0
    draft.value = worked ? { id: id.value, startedAt: startedAt.value, work: recordOf(bench.value) } : null
  }

  function lay(opened: Bench): void {
    if (unsaved.value && bench.value.mode !== 'show' && !lent)
      asides.value = [...asides.value, { id: id.value, startedAt: startedAt.value, work: recordOf(bench.value) }]
    bench.value = opened
    id.value = crypto.randomUUID()
    startedAt.value = new Date().toISOString()
    clock.value = performance.now()
    savedLength.value = 0
    refusal.value = null
    picked.value = null
    hint.value = false
    replaying.value = null
    used.value = [...used.value.slice(-50), printProblem(opened.setup.problem)]
    keep()
  }

  /** Asks a problem. The refusal of one that cannot be asked is returned; what is on the bench stays. */
  function ask(text: string, over: Over = {}): Refusal | null {
    const m = over.mode ?? mode.value
    const opened = attempt(() => openBench(requestFor(text, { ...over, mode: m }), m))
    if ('refused' in opened) return opened.refused
    take(opened.ok, m)
    return null
  }

  /** What a bench is asked for, as it is set or with something else in its place; in the mode that it is in, where no other is wanted. */
  const requestFor = (text: string, over: Over): PlanRequest =>
    settings.requestFor(text, { ...over, mode: over.mode ?? bench.value.mode })

  /** Puts another representation beside the main one, or puts it away; what was done on the main one stays done. */
  function setBeside(id: RepresentationId | null, hand = byHand.value): void {
    beside.value = id
    byHand.value = id !== null && hand
    const opened = attempt(() => translate(bench.value, requestFor(problem.value, { way: bench.value.setup.way })))
    if ('refused' in opened) refusal.value = opened.refused
    else change(opened.ok)
  }

  /** Works the abacus otherwise at this bench, or (null) as the room has it; what was done stays done. A frame too small is refused. */
  function setAbacus(wanted: AbacusChoices | null): void {
    const was = ownAbacus.value
    ownAbacus.value = wanted && { ...wanted }
    const opened = attempt(() => translate(bench.value, requestFor(problem.value, { way: bench.value.setup.way })))
    if ('refused' in opened) {
      ownAbacus.value = was
      refusal.value = opened.refused
    } else change(opened.ok)
  }

  /** Another material for the same work. What did not come across whole is set aside, to be brought back. */
  function change(opened: Bench): void {
    const { now, mode: m } = bench.value
    const whole = opened.now.standing.value === now.standing.value && (now.second?.stones.length ?? 0) === 0
    const before = asides.value
    take(opened, m)
    if (whole) asides.value = before
  }

  function take(opened: Bench, m: Mode): void {
    mode.value = m
    way.value = opened.setup.way
    material.value = opened.setup.representation
    lay(opened)
  }

  /** Goes on in another material, with the work so far done again there as far as its acts allow. */
  function moveTo(representation: RepresentationId): Refusal | null {
    const moved = attempt(() => translate(bench.value, requestFor(problem.value, { material: representation })))
    if ('refused' in moved) return moved.refused
    change(moved.ok)
    return null
  }

  function make(on: RepresentationId | 'bench', move: string): boolean {
    leaveReplay()
    const at = Math.max(bench.value.log.last?.at ?? 0, Math.round(performance.now() - clock.value))
    const done = attempt(() => enter(bench.value, { at, on, move }))
    picked.value = null
    if ('refused' in done) {
      refusal.value = done.refused
      return false
    }
    refusal.value = null
    hint.value = false
    bench.value = done.ok
    keep()
    return true
  }

  /**
   * Makes a typed move on the first material here that knows it; what none knows may be said in everyday words, and is then done by
   * the main one as an act. What neither is, the main material refuses.
   */
  function type(text: string): boolean {
    const { representation: main, all, both } = bench.value.setup
    const here: readonly RepresentationId[] = both ? [...all, both] : all
    const knows = (id: RepresentationId): boolean => 'ok' in attempt(() => REPRESENTATIONS[id].parse(text.trim()))
    const on = here.find((id) => hasMat(id) && knows(id))
    if (on) return make(on, text.trim())
    const spoken = attempt(() => spokenMoves(bench.value, text.trim()))
    if ('refused' in spoken) {
      refusal.value = spoken.refused
      return false
    }
    return spoken.ok ? spoken.ok.every((move) => make(main, move)) : make(main, text.trim())
  }

  const undo = (): boolean => make('bench', 'undo')
  const redo = (): boolean => make('bench', 'redo')

  /** The next planned act, done by Sett: a step of Show, or a move accepted when offered. */
  function advance(): boolean {
    const act = next.value
    if (!act) return false
    if (silentAct(bench.value.setup, bench.value.now)) return make('bench', 'ask')
    const main = bench.value.setup.representation
    const found = attempt(() => nextMoves(bench.value))
    if ('refused' in found) {
      refusal.value = found.refused
      return false
    }
    const one = byMove.value && REPRESENTATIONS[main].judge !== undefined
    return (one ? found.ok.slice(0, 1) : found.ok).every((move) => make(main, REPRESENTATIONS[main].print(move)))
  }

  /** Goes back or forward until just this many stones lie; where that cannot be, what stopped it is said. */
  function jump(count: number): void {
    const lying = (): number => bench.value.now.stones.length
    const onTheWay = (): boolean =>
      bench.value.mode === 'show' && bench.value.now.open !== null && bench.value.now.stones.last?.step === 'part'
    const forth = (): boolean => (bench.value.undone.length > 0 ? redo() : advance())
    let steps = 0
    const more = (): boolean => ++steps <= MOST_STEPS
    while (lying() > count && more() && undo());
    while (lying() < count && more() && forth());
    // A digit that is stepped move by move is finished before one rests on it.
    while (onTheWay() && more() && advance());
    if (steps > MOST_STEPS)
      refusal.value = new Refusal(`It stopped after ${MOST_STEPS} moves.`, 'Choose the stone again to go on.')
  }

  /** Starts the same problem again, in another mode or way if asked. */
  const again = (over: Over = {}): Refusal | null => ask(problem.value, over)

  /** Problems set beforehand, to be worked one after another. */
  const queue = useLocalStorage<readonly string[]>('sett.queue', [])

  /** The next problem of those set beforehand; else the same kind of problem with other numbers. */
  function another(): Refusal | null {
    const [head, ...rest] = queue.value
    if (head !== undefined) {
      queue.value = rest
      return ask(head)
    }
    const seed = crypto.getRandomValues(new Uint32Array(1))[0]!
    return ask(nextProblem(bench.value.setup, seed, used.value))
  }

  async function save(learnerId: string, given: Outcome): Promise<void> {
    const length = bench.value.log.length
    const record: SavedRecord = {
      id: id.value,
      learnerId,
      startedAt: startedAt.value,
      work: structuredClone(recordOf(bench.value)) as SavedRecord['work'],
      outcome: given,
    }
    await request('/api/records', { method: 'POST', body: record })
    savedLength.value = length
  }

  function resume(from: Draft, saved: boolean): Refusal | null {
    const opened = attempt(() => reopen(from.work))
    if ('refused' in opened) return opened.refused
    const { setup, log } = opened.ok
    lay(opened.ok)
    id.value = from.id
    startedAt.value = from.startedAt
    clock.value = performance.now() - (log.last?.at ?? 0)
    savedLength.value = saved ? log.length : 0
    mode.value = opened.ok.mode
    way.value = setup.way
    material.value = setup.representation
    const shown = setup.all.slice(1).find((other) => !besides(setup.representation).includes(other))
    beside.value = setup.both ?? shown ?? null
    byHand.value = setup.both !== null
    keep()
    return null
  }

  /** Brings back what was pushed aside last; what is unsaved on the bench now takes its place on the pile. */
  function bringBack(): void {
    const last = asides.value.at(-1)
    if (!last) return
    const rest = asides.value.slice(0, -1)
    refusal.value = resume(last, false)
    // A draft that cannot be worked any more is told, and stays.
    if (!refusal.value) asides.value = [...rest, ...asides.value.slice(rest.length + 1)]
  }

  /** Opens a saved record to be replayed. */
  function open(record: SavedRecord): Refusal | null {
    const work = record.work as WorkRecord
    const refused = resume({ id: record.id, startedAt: record.startedAt, work }, true)
    if (refused) return refused
    const benches = [openBench(work, work.mode)]
    for (const entry of work.moves) benches.push(enter(benches.at(-1)!, entry))
    replaying.value = { benches, at: benches.length - 1 }
    return null
  }

  /** Shows another moment of the record; nothing is changed by looking. */
  function look(at: number): void {
    const replay = replaying.value
    if (!replay || !replay.benches[at]) return
    replaying.value = { ...replay, at }
    bench.value = replay.benches[at]
    picked.value = null
  }

  /** The first move of one's own ends the replay. From the middle of a record it begins a new one; the old stays as it is. */
  function leaveReplay(): void {
    const replay = replaying.value
    if (!replay) return
    if (replay.at < replay.benches.length - 1) {
      id.value = crypto.randomUUID()
      startedAt.value = new Date().toISOString()
      savedLength.value = 0
    }
    clock.value = performance.now() - (bench.value.log.last?.at ?? 0)
    replaying.value = null
  }

  /** Brings back what a closed window left. */
  function restore(): boolean {
    return draft.value !== null && resume(draft.value, false) === null
  }

  return {
    bench,
    mode,
    way,
    material,
    id,
    startedAt,
    refusal,
    picked,
    aside,
    asides,
    bringBack,
    letGo,
    hint,
    problem,
    stones,
    lit,
    next,
    upcoming,
    nextMoves: moves,
    left,
    byMove,
    abacus,
    ownAbacus,
    setAbacus,
    result,
    unsaved,
    ask,
    make,
    type,
    undo,
    redo,
    advance,
    jump,
    again,
    moveTo,
    beside,
    second,
    byHand,
    setBeside,
    lend,
    queue,
    another,
    save,
    resume,
    restore,
    replaying,
    open,
    look,
  }
})
