import { settPreset } from './preset'

/** What PrimeVue's controls are dressed in; loaded as code, so that nothing of it stands in the page's HTML. */
export default { preset: settPreset, options: { darkModeSelector: '[data-theme="dark"]', cssLayer: false } }
