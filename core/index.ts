/**
 * The core's front door: all that it can do, with every material and every way. The server, the workers and the tests take the core
 * from here, or from the doors of its courses (course/index.ts) and of rehearsing (rehearse/index.ts). The app takes it from door.ts,
 * and a mat also from the folder of its own material. What is behind the doors is free to change. Everything is synchronous.
 */
import { introduce } from './introduce'
import { SPANISH } from './spanish'
import { introduceLanguage } from './speech/index'
import { WHOLE } from './whole'

introduce(WHOLE)
introduceLanguage(SPANISH)

export * from './door'
