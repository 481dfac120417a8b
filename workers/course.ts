import { troublesOf, type Course, type Trouble } from '../core/course/index'
import '../core/index'

/** A course is looked through: what is wrong with it, and with which of its steps. */
self.onmessage = ({ data }: MessageEvent<Course>): void =>
  self.postMessage(troublesOf(data) satisfies readonly Trouble[])
