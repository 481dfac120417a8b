import { attempt, packOf } from '../../core/door'
import {
  cellId,
  cellsFor,
  kindOf,
  leftOut,
  LENGTHS,
  readAsked,
  tellStory,
  type Cell,
  type Length,
  type Scene,
  type StoryWork,
  type ToldPlan,
} from '../../core/story/index'
import type { StoryScenes } from './useStoryScenes'

/** The story that Sett tells of a problem: what is chosen stays in this browser. */
export function useToldStory(scenes: StoryScenes) {
  const classroom = useClassroom()
  const money = useMoney()
  const kept = useLocalStorage(
    'sett.stories',
    {
      problem: '15 - 8',
      cell: 'compare/lesser/more',
      scene: '',
      seed: 1,
      inWords: false,
      length: 'plain' as Length,
      extra: false,
      missing: false,
      mode: 'together' as StoryWork['mode'],
    },
    { mergeDefaults: true },
  )
  /** Money as the class writes it, where it has a large unit. */
  const allScenes = computed(() => {
    const { hundred, large, small } = money.currency.value
    return scenes.scenes.value.map((s): Scene =>
      kindOf(s) === 'money' && hundred ? { ...s, thing: { ...s.thing, money: { large, small, hundred } } } : s,
    )
  })
  const read = computed(() => attempt(() => readAsked(String(kept.value.problem))))
  const fitting = computed(() => ('ok' in read.value ? cellsFor(String(kept.value.problem), allScenes.value) : []))
  const cell = computed<Cell | undefined>(
    () =>
      fitting.value.find((c) => cellId(c) === kept.value.cell) ??
      // Where a fraction is typed, a part of a whole is meant first.
      (/\d\/\d/.test(kept.value.problem) ? fitting.value.find((c) => c.situation === 'part') : undefined) ??
      fitting.value[0],
  )
  const told = computed(() => {
    const of = cell.value
    if (!of) return null
    const scene = allScenes.value.find((s) => s.id === kept.value.scene)
    const seed = Number(kept.value.seed) || 1
    const wish = {
      problem: kept.value.problem,
      cell: of,
      seed,
      scenes: allScenes.value,
      people: scenes.people.value,
      length: LENGTHS.find((l) => l === kept.value.length) ?? ('plain' as const),
      extra: kept.value.extra === true,
      ...(kept.value.inWords ? { words: packOf(classroom.words) } : {}),
    }
    const first = attempt(() => tellStory({ ...wish, ...(scene ? { scene } : {}) }))
    // A scene that cannot hold the amounts gives way to one that can.
    const other = 'ok' in first ? first : attempt(() => tellStory(wish))
    if (!('ok' in other)) return null
    const left = leftOut(of, other.ok.scene)
    const missing = kept.value.missing ? left[seed % left.length] : undefined
    const story = missing ? tellStory({ ...wish, scene: other.ok.scene, missing }) : other.ok
    return {
      story,
      canMiss: left.length > 0,
      gaveWay: 'refused' in first ? first.refused.reason : '',
      plan: {
        cell: cellId(of),
        amounts: story.roles,
        ...(story.before ? { before: story.before } : {}),
        scene: story.scene,
        people: story.people,
        seed,
        length: wish.length,
        extra: wish.extra,
        ...(missing ? { missing } : {}),
      } satisfies ToldPlan,
    }
  })
  /** Why the problem cannot be read; empty where it can. */
  const unread = computed(() => ('refused' in read.value ? read.value.refused.message : ''))
  const renew = (): void => void (kept.value.seed = crypto.getRandomValues(new Uint32Array(1))[0]! % 1_000_000)
  return { kept, allScenes, fitting, cell, told, unread, renew }
}
export type ToldStory = ReturnType<typeof useToldStory>
