import type { WebDriver } from 'selenium-webdriver'
import { browser, By, byRole, serve, until, type Running } from './world'

type DevTools = { sendDevToolsCommand(command: string, parameters: object): Promise<void> }

/** One server and one browser for all tests of a file, with what hands do in them. `app` and `driver` are there once tests run. */
export function inChromium({ demo = true }: { readonly demo?: boolean } = {}) {
  const here = {} as { app: Running; driver: WebDriver }
  beforeAll(async () => {
    here.app = await serve({ demo })
    here.driver = await browser()
  })
  afterAll(async () => {
    await here.driver?.quit()
    await here.app?.stop()
  })
  const devTools = (): DevTools => here.driver as unknown as DevTools
  return Object.assign(here, {
    click: async (name: string | RegExp): Promise<void> => (await byRole(here.driver, 'button', name)).click(),
    press: (...keys: string[]): Promise<void> =>
      here.driver
        .actions()
        .sendKeys(...keys)
        .perform(),
    /** What a script says of the element `e` that has the focus. */
    active: (script: string): Promise<string> =>
      here.driver.executeScript(`const e = document.activeElement; return ${script}`),
    /** A bench with nothing kept from before. */
    async fresh(settings: Record<string, string> = {}): Promise<void> {
      await here.driver.get(`${here.app.url}/settings`)
      await here.driver.executeScript(
        'localStorage.clear(); for (const [k, v] of Object.entries(arguments[0])) localStorage.setItem(k, v)',
        settings,
      )
      await here.driver.get(`${here.app.url}/bench`)
      await byRole(here.driver, 'textbox', 'Problem')
      await here.driver.wait(until.elementLocated(By.css('#mat > .mats')), 20_000)
    },
    size: (width: number, height: number): Promise<void> =>
      devTools().sendDevToolsCommand('Emulation.setDeviceMetricsOverride', {
        width,
        height,
        deviceScaleFactor: 1,
        mobile: false,
      }),
    prefers: (name: string, value: string): Promise<void> =>
      devTools().sendDevToolsCommand('Emulation.setEmulatedMedia', { features: [{ name, value }] }),
  })
}
