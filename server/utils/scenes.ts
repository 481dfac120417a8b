import { SCENES_AT_FIRST, scenesSchema, type OwnScenes } from '../../shared/scenes'
import { keepSetting, settingOf } from './versioned'
import type { Store } from './store'

/** The scenes and people that a class has added; none where nothing was kept. */
export const scenesOf = (store: Store): OwnScenes => settingOf(store, 'scenes', scenesSchema, SCENES_AT_FIRST)
export const keepScenes = (store: Store, scenes: OwnScenes): OwnScenes | undefined =>
  keepSetting(store, 'scenes', () => scenesOf(store), scenes)
