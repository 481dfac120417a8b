import { openTab } from '../utils/tabs'

/** Before anything is drawn the window has its name, so that its draft is its own. */
export default defineNuxtPlugin({ name: 'tab', setup: () => openTab() })
