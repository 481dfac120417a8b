import { inRows, type ScanGroup } from './scan'

/** What of a page can be reached with a switch, in groups: found in the page itself, so that every page has it. */

const CAN = [
  'button',
  'a[href]',
  'input:not([type="hidden"])',
  'select',
  'textarea',
  'summary',
  '[role="button"]',
  '[role="slider"]',
  '[role="option"]',
  '[role="menuitem"]',
  '[role="radio"]',
  '[role="combobox"]',
].join(',')
const OVERLAY = '.scan-pad, .p-select-overlay, .p-menu-overlay, [role="dialog"]'
const AROUND =
  '[data-scan], .scan-pad, section, form, fieldset, nav, header, [role="group"], [role="region"], [role="dialog"], table, ul, main'

const seen = (e: HTMLElement): boolean => {
  const box = e.getBoundingClientRect()
  return e.checkVisibility({ visibilityProperty: true, opacityProperty: true }) && box.width > 1 && box.height > 1
}
const usable = (e: HTMLElement): boolean =>
  !e.matches(':disabled, [aria-disabled="true"], [aria-hidden="true"], .skip') &&
  e.closest('[aria-hidden="true"], [inert], [data-scan="never"]') === null &&
  seen(e)

/** The name by which a thing or a group is told. */
export const spokenName = (e: Element): string =>
  (
    e.getAttribute('aria-label') ??
    (e.getAttribute('aria-labelledby') ?? '')
      .split(' ')
      .map((id) => (id ? (document.getElementById(id)?.textContent ?? '') : ''))
      .join(' ')
      .trim()
  ).trim() ||
  ((e as HTMLInputElement).labels?.[0]?.textContent ?? e.textContent ?? '').replace(/\s+/g, ' ').trim().slice(0, 80)

/** What is needed for the turn comes first: the mat, then what stands below it and the answer, then the rest of the page; the site's places come last. */
function turnOf(e: HTMLElement): number {
  if (e.closest('#mat')) return 0
  if (e.closest('.foot, .answer')) return 1
  return e.closest('[data-scan="last"]') ? 3 : 2
}

/** Things that are on the page now, or in what lies over it. */
export function scanned(each = false): {
  readonly things: readonly HTMLElement[]
  readonly groups: readonly ScanGroup[]
} {
  const over = [...document.querySelectorAll<HTMLElement>(OVERLAY)].filter(seen).at(-1)
  const root = over ?? document.body
  const things = [...root.querySelectorAll<HTMLElement>(CAN)]
    .filter(
      // What lies within another thing is reached by that one.
      (e) => usable(e) && e.parentElement?.closest('button, a[href], summary') === null,
    )
    .map((e) => [turnOf(e), e] as const)
    .sort(([a], [b]) => a - b)
    .map(([, e]) => e)
  if (each) return { things, groups: [{ name: 'all', rows: [things.map((_, i) => i)] }] }
  const by = new Map<Element, number[]>()
  for (const [i, e] of things.entries()) {
    const near = e.closest(AROUND) ?? root
    // A small group within a larger one goes with it, so that there are not too many.
    by.set(near, [...(by.get(near) ?? []), i])
  }
  const groups = [...by].map(([e, items], g): ScanGroup => ({
    name: `${e.getAttribute('aria-label') ?? e.tagName.toLowerCase()} ${e.id || g}`,
    rows: inRows(items),
  }))
  return { things, groups }
}
