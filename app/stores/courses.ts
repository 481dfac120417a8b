import { defineStore } from 'pinia'
import { COURSES, shownSteps, type Course, type Step } from '../../core/course/index'
import { inClassWords, packOf } from '../../core/door'
import type { CoursesHere, KeptCourse } from '../../shared/courses'
import { request } from '../utils/request'
import { useClassroom } from './classroom'

/** The courses that the school may take, and the one that the room takes. */
export const useCourses = defineStore('courses', () => {
  const classroom = useClassroom()
  const here = shallowRef<CoursesHere | null>(null)
  const own = computed<readonly KeptCourse[]>(() => here.value?.own ?? [])
  const all = computed<readonly Course[]>(() => [...COURSES, ...own.value])
  const byId = (id: string): Course | undefined => all.value.find((c) => c.id === id)
  const course = computed<Course>(() => byId(here.value?.chosen ?? '') ?? COURSES[0]!)
  /** The steps as the class calls them. */
  const named = (title: string): string => inClassWords(title, packOf(classroom.words))
  const steps = computed<readonly Step[]>(() =>
    shownSteps(course.value).map((s) => ({
      ...s,
      title: named(s.title),
      ...(s.short ? { short: named(s.short) } : {}),
    })),
  )
  const stepOf = (id: string): Step | undefined =>
    steps.value.find((s) => s.id === id) ?? course.value.steps.find((s) => s.id === id)

  /** Titles that several steps have. */
  const shared = computed(() => {
    const titles = course.value.steps.map((s) => named(s.title))
    return new Set(titles.filter((t, i) => titles.indexOf(t) !== i))
  })
  /** A step by its title, with its strand where another has the same one; stories are no step, and a step of another course goes by its id. */
  function titleOf(id: string): string {
    if (id === 'stories') return 'Stories'
    const step = stepOf(id)
    if (!step) return id
    return shared.value.has(step.title) ? `${step.title} (${step.strand})` : step.title
  }

  async function load(): Promise<void> {
    here.value = await request<CoursesHere>('/api/courses')
  }
  async function choose(id: string): Promise<void> {
    here.value = await request<CoursesHere>('/api/courses/chosen', { method: 'PUT', body: { course: id } })
  }
  /** Keeps a course of the school's own, changed from a version (0: new). */
  async function keep(changed: Course, version: number): Promise<KeptCourse> {
    const kept = await request<KeptCourse>(`/api/courses/${changed.id}`, {
      method: 'PUT',
      body: { ...changed, version },
    })
    await load()
    return kept
  }
  async function remove(id: string): Promise<void> {
    here.value = await request<CoursesHere>(`/api/courses/${id}`, { method: 'DELETE' })
  }
  return { here, own, all, byId, course, steps, stepOf, titleOf, load, choose, keep, remove }
})
