import { problemOf, sendProblem } from './utils/problem'

/** Every error of the API is a problem answer; a failing page says one plain sentence. Stack traces go to the log only. */
export default defineNitroErrorHandler((error, event) => {
  const problem = problemOf(error)
  if (problem.status >= 500) console.error(error)
  event.node.res.end(sendProblem(event, problem))
})
