import type { App, Component } from 'vue'

/**
 * PrimeVue's controls by their own names, each fetched when it is first shown; the first of them brings PrimeVue itself and its theme.
 * A place that shows none, as the Bench does at first, loads nothing of it.
 */
let app: App | undefined
let begun: Promise<void> | undefined

/** Says in which app the controls will stand. */
export function controlsIn(here: App): void {
  app = here
}

async function begin(): Promise<void> {
  const [{ default: PrimeVue }, { default: theme }] = await Promise.all([
    import('primevue/config'),
    import('./assets/theme'),
  ])
  app?.use(PrimeVue, { theme })
}

async function fetched<T>(load: () => Promise<T>): Promise<T> {
  begun ??= begin().catch((error: unknown) => {
    // What could not be fetched is asked for again by the next control.
    begun = undefined
    throw error
  })
  const [control] = await Promise.all([load(), begun])
  return control
}

const control = <T extends Component>(load: () => Promise<{ default: T }>) => defineAsyncComponent(() => fetched(load))

export const Button = control(() => import('primevue/button'))
export const Checkbox = control(() => import('primevue/checkbox'))
export const DataTable = control(() => import('primevue/datatable'))
export const Dialog = control(() => import('primevue/dialog'))
export const InputText = control(() => import('primevue/inputtext'))
export const Select = control(() => import('primevue/select'))
export const Textarea = control(() => import('primevue/textarea'))
export const Toast = control(() => import('primevue/toast'))

const menu = () => import('primevue/menu')
export const Menu = control(menu)
/** Fetches what a menu needs before somebody opens it. */
export const prepareMenu = (): void => void fetched(menu)
