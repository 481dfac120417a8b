import { defineStore } from 'pinia'
import type { Refusal, AbacusChoices, Bench, Mode, PlanRequest, RepresentationId } from '../../core/door'
import {
  ahead,
  attempt,
  enter,
  hasMat,
  isHere,
  isRepresentation,
  leaving,
  nextAct,
  nextMoves,
  openBench,
  outcome,
  printProblem,
  recordOf,
  reopen,
  REPRESENTATIONS,
  spokenMoves,
  translate,
  listed,
} from '../../core/door'
import type { Outcome } from '../../shared/schemas'
import { besides } from '../utils/benchRequest'
import { waitingWithout } from '../utils/forgetLearner'
import type { Draft } from '../utils/kept'
import { benchDrafts } from './bench/drafts'
import { benchLying } from './bench/lying'
import { benchQueue } from './bench/queue'
import { benchReplay } from './bench/replay'
import { benchSettings, type Over } from './bench/settings'
import { benchSteps } from './bench/steps'
import { benchTurns, saveWork } from './bench/turns'
import { useClassroom } from './classroom'

/** Whether a material is one that Sett has, and only has not been fetched yet. */
const stillToCome = (id: unknown): boolean => typeof id === 'string' && isRepresentation(id) && !isHere(id)

/** The bench as it stands: the core's Bench, the settings it was laid with, and what is only seen. */
export const useBench = defineStore('bench', () => {
  const settings = benchSettings()
  const { mode, way, material, beside, byHand, byMove, ownAbacus, abacus } = settings
  const { draft, asides, takeAside, deleteAside, deleted, undelete } = benchDrafts()
  const classroom = useClassroom()
  const lying = benchLying(settings)
  const { bench, id, startedAt, clock, refusal, savedLength, whose, handled, picked, hint, replaying, lent, lend } =
    lying

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

  function keep(): void {
    if (lent.value) return
    draft.value = bench.value.log.length > 0 ? draftNow() : null
  }
  /** What lies on the bench, and whose it is. */
  const draftNow = (): Draft => ({
    id: id.value,
    startedAt: startedAt.value,
    work: recordOf(bench.value),
    learner: whose.value,
    byHand: handled.value,
    turn: turn.value,
  })

  /** Whether somebody worked what lies there: what was only stepped through in Show is nobody's work. */
  const isWork = (): boolean => bench.value.mode !== 'show' || handled.value

  function lay(opened: Bench): void {
    if (unsaved.value && isWork() && !lent.value)
      asides.value = [...asides.value.filter((d) => d.id !== id.value), draftNow()]
    bench.value = opened
    whose.value = null
    handled.value = false
    id.value = crypto.randomUUID()
    startedAt.value = new Date().toISOString()
    clock.value = performance.now()
    savedLength.value = 0
    lying.freshlySeen()
    replaying.value = null
    asked(opened.setup.problem)
    keep()
  }

  /** Lets go of what this browser keeps of a learner's unsaved work, as when they are erased; also of what does not say whose it is. */
  function forget(learner: string): void {
    asides.value = asides.value.filter((d) => d.learner && d.learner !== learner)
    deleted.value = null
    queue.value = waitingWithout(queue.value, learner)
    if (turn.value?.learner === learner) turn.value = null
    line.abandoned.value = null
    turns.forget()
    if (whose.value !== null && whose.value !== learner) return
    savedLength.value = bench.value.log.length
    ask(problem.value)
    draft.value = null
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

  /** A move of a hand, or one that Sett makes for it (`bySett`). */
  function make(on: RepresentationId | 'bench', move: string, bySett = false): boolean {
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
    if (bench.value.log.length === 0) whose.value = classroom.learnerId
    handled.value ||= !bySett
    bench.value = done.ok
    keep()
    if (result.value.finished) void saveTurn()
    return true
  }

  /**
   * Makes a typed move on the first material here that knows it; what none knows may be said in everyday words, and is then done by
   * the main one as an act. What neither is, the main material refuses.
   */
  function type(typed: string): boolean {
    // Whoever says units for the lowest place types it too; materials know it as ones.
    const text = typed.replace(/\bunit(s?)\b/gi, 'one$1')
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

  const { undo, redo, advance, jump } = benchSteps(lying, {
    next: () => next.value,
    byMove: () => byMove.value,
    make: (on, move) => make(on, move, true),
  })

  /** Starts the same problem again, in another mode or way if asked. */
  const again = (over: Over = {}): Refusal | null => ask(problem.value, over)

  const line = benchQueue(lying, ask)
  const { queue, turn, lesson, begin, asked } = line
  const turns = benchTurns(lying, line, {
    draftNow,
    isDone: () => (result.value.finished ? result.value.right : null),
    saved: ({ id: one, work }) => {
      // What was done meanwhile is not saved by it, least of all other work.
      if (id.value === one) savedLength.value = work.moves.length
      asides.value = asides.value.filter((d) => d.id !== one || d.work.moves.length > work.moves.length)
    },
  })
  const { saveTurn } = turns

  /** The next problem; a turn of a lesson that has an answer is saved first. */
  async function another(): Promise<Refusal | null> {
    await turns.endTurn()
    return line.another()
  }

  /** Saves what is on the bench, or unsaved work that was put aside. @throws ServerRefusal */
  async function save(learnerId: string, given: Outcome, one: Draft = draftNow()): Promise<void> {
    await saveWork(one, learnerId, given)
    turns.savedAs({ ...one, learner: learnerId }, learnerId, given)
    if (one.id !== id.value) return void takeAside(one.id)
    whose.value = learnerId
    savedLength.value = one.work.moves.length
  }

  /** Takes the last save of a turn back; its work is on the bench still, or with the unsaved. @throws ServerRefusal */
  async function undoSave(): Promise<void> {
    const back = await turns.undoSave()
    if (!back) return
    if (back.id === id.value) savedLength.value = 0
    else asides.value = [...asides.value.filter((d) => d.id !== back.id), back]
  }

  // Work belongs to whoever was chosen as it was begun: for somebody else the problem begins anew, and the work waits with the unsaved.
  watch(
    () => classroom.learnerId,
    (now) => {
      if (lent.value || now === null || now === whose.value || bench.value.log.length === 0) return
      if (whose.value !== null && isWork()) again()
      else {
        whose.value = now
        keep()
      }
    },
  )

  function resume(from: Draft, saved: boolean): Refusal | null {
    const opened = attempt(() => reopen(from.work))
    if ('refused' in opened) return opened.refused
    const { setup, log } = opened.ok
    lay(opened.ok)
    id.value = from.id
    startedAt.value = from.startedAt
    clock.value = performance.now() - (log.last?.at ?? 0)
    savedLength.value = saved ? log.length : 0
    whose.value = from.learner ?? null
    handled.value = from.byHand ?? true
    turn.value = from.turn ?? null
    if (whose.value !== null && classroom.nameOf(whose.value)) classroom.learnerId = whose.value
    mode.value = opened.ok.mode
    way.value = setup.way
    material.value = setup.representation
    const shown = setup.all.slice(1).find((other) => !besides(setup.representation).includes(other))
    beside.value = setup.both ?? shown ?? null
    byHand.value = setup.both !== null
    keep()
    return null
  }

  /** Opens unsaved work again; what is unsaved on the bench now takes its place among it. */
  function openAside(one: string): void {
    const found = takeAside(one)
    if (!found) return
    refusal.value = resume(found, false)
    // What cannot be worked any more is told, and stays.
    if (refusal.value) asides.value = [...asides.value, found]
  }

  const { open, look, leaveReplay } = benchReplay(lying, resume)

  /** Brings back what a closed window left. Where its material has not been fetched, it goes on the pile, so that nothing takes its place. */
  function restore(): boolean {
    const left = draft.value
    if (!left) return false
    if (resume(left, false) === null) return true
    if (stillToCome(left.work.representation)) asides.value = [...asides.value, left]
    draft.value = null
    return false
  }

  return {
    forget,
    bench,
    mode,
    way,
    material,
    id,
    startedAt,
    refusal,
    picked,
    asides,
    openAside,
    deleteAside,
    deleted,
    undelete,
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
    whose,
    queue,
    turn,
    lesson,
    begin,
    another,
    resumeTurn: line.resumeTurn,
    abandoned: line.abandoned,
    endQueue: line.endQueue,
    leaveQueue: line.leaveQueue,
    backToQueue: line.backToQueue,
    endTurn: turns.endTurn,
    savedTurn: turns.savedTurn,
    turnTrouble: turns.turnTrouble,
    undoSave,
    save,
    resume,
    draft: computed(() => draft.value),
    drafted: computed(() => draft.value !== null),
    restore,
    replaying,
    open,
    look,
  }
})
