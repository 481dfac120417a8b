import { KEPT_RULES_AT_FIRST, rulesSchema, type KeptRules } from '../../shared/progress'
import { keepSetting, settingOf } from './versioned'
import type { Store } from './store'

/** The rules that suggestions go by; those of common practice where the school has set none. */
export const rulesOf = (store: Store): KeptRules => settingOf(store, 'rules', rulesSchema, KEPT_RULES_AT_FIRST)
export const keepRules = (store: Store, rules: KeptRules): KeptRules | undefined =>
  keepSetting(store, 'rules', () => rulesOf(store), rules)
