import type { Course, Trouble } from '../../core/course/index'

/** Looks a course through in a worker; a newer wish lets go of one still being looked through. Null until it is known. */
export function useCourseCheck() {
  const troubles = shallowRef<readonly Trouble[] | null>(null)
  let worker: Worker | undefined
  function check(course: Course): void {
    worker?.terminate()
    troubles.value = null
    worker = new Worker(new URL('../../workers/course.ts', import.meta.url), { type: 'module' })
    worker.onmessage = ({ data }: MessageEvent<readonly Trouble[]>) => (troubles.value = data)
    worker.onerror = () =>
      (troubles.value = [
        { step: null, says: 'The course could not be looked through. Change something, or load it again.' },
      ])
    worker.postMessage(JSON.parse(JSON.stringify(course)))
  }
  onBeforeUnmount(() => worker?.terminate())
  return { troubles, check }
}
