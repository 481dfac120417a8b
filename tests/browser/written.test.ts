import type { WebDriver } from 'selenium-webdriver'
import { SLIPS } from '../../core/record/slips'
import { By, byRole, Key, noViolations, pick, text, type Running, choose } from './world'
import { inChromium } from './here'

const here = inChromium()
const { click, press } = here
let app: Running
let driver: WebDriver
beforeAll(() => {
  ;({ app, driver } = here)
})

const lines = '[aria-label="Running equations"]'
const stones = '[aria-label="The course of stones"]'
const accessible = (): Promise<void> => noViolations(driver)
/** A bench with nothing left over from before, with this material, in this mode, and this problem asked. */
async function bench(problem: string, material: string, mode: 'show' | 'together' | 'alone', way = ''): Promise<void> {
  await driver.get(`${app.url}/bench`)
  await byRole(driver, 'textbox', 'Problem')
  await driver.executeScript(
    'localStorage.clear(); for (const [k, v] of Object.entries(arguments[0])) localStorage.setItem(k, v)',
    { 'sett.material': material, 'sett.mode': mode, ...(way ? { 'sett.way': way } : {}) },
  )
  await driver.get(`${app.url}/bench`)
  const box = await byRole(driver, 'textbox', 'Problem')
  await box.sendKeys(Key.chord(Key.CONTROL, 'a'), problem, Key.ENTER)
  await driver.wait(async () => (await box.getAttribute('value')) === problem.replaceAll('-', '−'), 20_000)
  await byRole(driver, 'group', material === 'columns' ? 'Column sheet' : 'The mat')
}
async function move(...typed: string[]): Promise<void> {
  const box = await byRole(driver, 'textbox', 'Type a move')
  for (const one of typed) {
    await box.sendKeys(one, Key.ENTER)
    await driver.wait(async () => (await box.getAttribute('value')) === '', 20_000)
  }
}
async function beside(material: RegExp, hand: boolean): Promise<void> {
  await click('Beside')
  await choose(driver, material)
  await driver.wait(async () => (await driver.findElements(By.css('.p-select-overlay'))).length === 0, 20_000)
  if (hand) await click('By hand')
}

test('chips and columns by hand: the answer copied without marks is asked for them, and found in the Daybook', async () => {
  await bench('52 - 37', 'chips', 'alone')
  await beside(/^column sheet/, true)
  await move('lay 52', 'break ten', 'take 7 ones', 'take 3 tens')
  await move('write 52', 'under - 37', 'answer 5 ones')
  // In Alone Sett keeps quiet while the learner is still at it.
  expect(await driver.findElements(By.css('[aria-label="In step"]'))).toHaveLength(0)
  await move('answer 1 tens')
  await text(
    driver,
    '[aria-label="In step"]',
    'The answer stands on the column sheet, but what leads to it is missing there.',
  )
  await text(driver, '[aria-label="In step"]', 'no mark over the tens yet')
  await accessible()
  await (await byRole(driver, 'textbox', 'Answer')).sendKeys('15', Key.ENTER)
  await click('Save')
  await byRole(driver, 'textbox', 'Note')
  await (await driver.findElement(By.css('[role="dialog"] button[type="submit"]'))).click()
  await text(driver, '.p-toast', 'is in the Daybook')
  await driver.get(`${app.url}/learners/records`)
  await text(driver, 'tbody tr', '52 − 37')
  await text(driver, 'tbody tr', SLIPS.copied)
})

test('with its marks the sheet agrees with the chips, act by act', async () => {
  await bench('52 - 37', 'chips', 'together')
  await beside(/^column sheet/, true)
  await move('lay 52', 'break ten', 'write 52', 'under - 37')
  await text(driver, '[aria-label="In step"]', 'Chips: exchange 1 ten. Column sheet: no mark over the tens yet.')
  await move('strike tens', 'above 4 tens', 'one ones')
  await text(driver, '[aria-label="In step"]', 'Both show the same acts.')
})

test('a digit written on the sheet moves the chips, and a chip moved writes on the sheet', async () => {
  await bench('52 - 37', 'chips', 'together')
  await beside(/^column sheet/, false)
  await move('lay 52')
  await byRole(driver, 'button', 'ones digit: 2')
  await move('break ten')
  await byRole(driver, 'button', 'ones digit: 12')
  await (await byRole(driver, 'button', 'Answer square, ones: empty')).click()
  await press('5')
  await byRole(driver, 'button', '7 ones taken away')
  await byRole(driver, 'button', '5 ones on the mat')
  await text(driver, lines, '52 − 7 = 45')
  await accessible()
})

test('chips below the ones: by keyboard a tenth is broken, and hundredths are picked up and taken away', async () => {
  await bench('8.4 - 3.27', 'chips', 'together')
  await move('lay 8.4')
  await (await byRole(driver, 'button', '4 tenths on the mat')).sendKeys('b')
  const hundredths = await byRole(driver, 'button', '10 hundredths on the mat')
  await text(driver, lines, '8.4 = 8 + 0.3 + 0.1')
  await hundredths.sendKeys('7')
  await (await byRole(driver, 'button', '0 hundredths taken away')).sendKeys(Key.ENTER)
  await byRole(driver, 'button', '3 hundredths on the mat')
  await text(driver, lines, '8.4 − 0.07 = 8.33')
})

test('an alignment slip is seen at the first digit and mended by pulling the number right', async () => {
  await bench('6842 + 593', 'columns', 'alone')
  await click('Write 6842 down')
  await (await byRole(driver, 'button', 'Next number, thousands: empty')).click()
  await press('5')
  await text(driver, '[aria-label="What to say"]', 'Ones under ones: this number stands too far to the left.')
  await (await byRole(driver, 'button', 'Next number, hundreds: empty')).click()
  await press('9')
  await (await byRole(driver, 'button', 'Next number, tens: empty')).click()
  await press('3')
  await accessible()
  await click('Pull right')
  await text(driver, stones, '+ 593')
  await text(driver, lines, '6,842 + 593')
})

test('drawn tens: a ten is ringed and becomes a line; what is taken is crossed out and stays', async () => {
  await bench('27 + 5', 'drawn', 'together')
  await move('draw 27')
  for (let i = 0; i < 5; i++) await click('Draw one one')
  await click('Ring ten ones')
  expect(await driver.findElements(By.css('.thing.ringed'))).toHaveLength(10)
  expect(await driver.findElements(By.css('.ring'))).toHaveLength(1)
  await text(driver, lines, '20 + 12 = 30 + 2')
  await accessible()
})

test('the open number line by keyboard alone', async () => {
  await bench('37 + 45', 'openline', 'together')
  const tabTo = async (name: string): Promise<void> => {
    for (let i = 0; i < 60; i++) {
      const here = await driver.switchTo().activeElement()
      if ((await here.getAccessibleName()).trim() === name) return
      await press(Key.TAB)
    }
    throw new Error(`Tab never comes to ${name}`)
  }
  await tabTo('Start at 45')
  await press(Key.ENTER)
  await byRole(driver, 'textbox', 'Hop of your own')
  await tabTo('Hop of your own')
  await press('+', '3', '0', Key.ENTER)
  await text(driver, lines, '45 + 30 = 75')
  await press('7', Key.ENTER)
  await text(driver, lines, '75 + 7 = 82')
  await text(driver, '[aria-label="What to say"]', 'Hop seven, to eighty-two.')
  await accessible()
})

test('partial sums: a false line is crossed out and written anew', async () => {
  await bench('37 + 45', 'partials', 'together')
  await move('write 37', 'write 37 = 30 + 7', 'write 37 + 45', 'write 45 = 40 + 5')
  const line = await byRole(driver, 'textbox', 'Write the next line')
  await click('30 + 40 = …')
  await line.sendKeys('80', Key.ENTER)
  await text(driver, '[aria-label="What to say"]', 'Look again: 30 + 40 is not 80.')
  await line.sendKeys('30 + 40 = 70', Key.ENTER)
  await text(driver, '[aria-label="The page of this way"]', '70')
  expect(await driver.findElements(By.css('.lines li.false'))).toHaveLength(1)
  await accessible()
})

test('on the split diagram a number is touched to be parted, and its parts to be put together', async () => {
  await bench('37 + 45', 'splits', 'together')
  await move('write 37', 'write 37 = 30 + 7', 'write 37 + 45')
  const line = await byRole(driver, 'textbox', 'Write the next line')
  await click('Part 45')
  await line.sendKeys('40 + 5', Key.ENTER)
  await click('Use 30, part of 37')
  await click('Use 40, part of 45')
  await line.sendKeys('= 70', Key.ENTER)
  await text(driver, lines, '37 + 40 = 77')
  await accessible()
})

test('the split diagram and the friendly page show their way and are accessible', async () => {
  for (const [material, way] of [
    ['splits', 'apart'],
    ['friendly', 'make-friendly'],
  ] as const) {
    await bench('29 + 46', material, 'show', way)
    for (let i = 0; i < 4; i++) await click('Next step')
    await byRole(driver, 'group', 'The mat')
    await accessible()
  }
  await text(driver, '[aria-label="The page of this way"]', /29 \+ 46\s*=\s*30 \+ 45/)
})

test('several ways on one board, one exchanged for another, all of one answer', async () => {
  await driver.get(`${app.url}/bench/compare?problem=304%20-%20178`)
  await text(driver, '.said', 'All four ways say 126.')
  await accessible()
  await pick(driver, 'Material of way 1', 'chips')
  await driver.wait(
    async () => (await driver.findElements(By.css('section[aria-label^="Way 1: Chips"]'))).length === 1,
    20_000,
  )
  await text(driver, '.said', 'All four ways say 126.')
})

test('missing digits: a wrong one is compared, the right one fits, and it is worked on chips', async () => {
  await driver.get(`${app.url}/bench/missing`)
  const box = await byRole(driver, 'textbox', 'Missing digit 1')
  await box.sendKeys('4')
  await text(driver, '.said', '142 − 64 is 78, not 75.')
  await box.sendKeys(Key.BACK_SPACE, '7')
  await text(driver, '.said', '142 − 67 = 75. It fits.')
  await click('Show every solution')
  await text(driver, '[aria-label="Solutions"]', 'There is just one solution.')
  await accessible()
  await click('Work it with chips')
  await byRole(driver, 'button', 'Store of hundreds')
  expect(await (await byRole(driver, 'textbox', 'Problem')).getAttribute('value')).toBe('142 − 67')
})

test('the spinner: a spin lies on the mat, its sentence on the page, and the column that changed is named', async () => {
  await driver.get(`${app.url}/bench/spinner`)
  await click('Spin')
  await text(driver, '[aria-label="Sentences so far"]', /\d+ [+−] \d0/)
  await click('Move the chips')
  await text(driver, '[aria-label="Sentences so far"]', /\d+ [+−] \d0 = \d+/)
  await click('tens')
  await text(driver, '.question', 'Yes: the tens. The ones stay as they were.')
  await text(driver, '[aria-label="Spinner"]', /\d+ of \d+ pairs still to come/)
  await accessible()
})

test('unsaved work stands as it was after the spinner, and what was done by hand comes back after a change of material', async () => {
  await bench('52 - 37', 'chips', 'together')
  await beside(/^column sheet/, true)
  await move('lay 52', 'write 52')
  await click('Tools and practice')
  await (await byRole(driver, 'menuitem', 'Spin and add: spinner and number cards')).click()
  for (let i = 0; i < 2; i++) {
    await click('Spin')
    await byRole(driver, 'button', 'Move the chips')
  }
  await (await byRole(driver, 'link', 'Bench')).click()
  await text(driver, stones, 'lay 52')
  await byRole(driver, 'button', 'Next number, ones: empty')
  await click('Follows')
  await text(driver, '.notices', '1 piece of unsaved work')
  await click('Review')
  await click(/^Open 52 − 37 of/)
  await byRole(driver, 'button', 'Next number, ones: empty')
  await text(driver, stones, 'lay 52')
})

test('which way fits is an ordered list with reasons, and one of them is worked at once', async () => {
  await bench('52 - 29', 'blocks', 'together')
  await click('Tools and practice')
  await (await byRole(driver, 'menuitem', 'Which way suits it?')).click()
  await text(driver, '[role="dialog"] .advice', '29 is 1 away from 30. Take that away and put it right.')
  await accessible()
  await click(/^Work it with friendly numbers/)
  await byRole(driver, 'textbox', 'Write the next line')
  await click('Tools and practice')
  await (await byRole(driver, 'menuitem', 'Read the numbers aloud')).click()
  await text(driver, '[role="dialog"]', 'Fifty-two')
})
