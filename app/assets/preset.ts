import { definePreset } from '@primeuix/themes'
import base from '@primeuix/themes/aura/base'
import button from '@primeuix/themes/aura/button'
import checkbox from '@primeuix/themes/aura/checkbox'
import datatable from '@primeuix/themes/aura/datatable'
import dialog from '@primeuix/themes/aura/dialog'
import inputtext from '@primeuix/themes/aura/inputtext'
import menu from '@primeuix/themes/aura/menu'
import select from '@primeuix/themes/aura/select'
import textarea from '@primeuix/themes/aura/textarea'
import toast from '@primeuix/themes/aura/toast'

const ink = 'var(--ink)'
const field = {
  background: 'var(--sheet)',
  color: ink,
  borderColor: 'var(--edge)',
  hoverBorderColor: 'var(--ink)',
  focusBorderColor: 'var(--focus)',
  placeholderColor: 'var(--ink-soft)',
  shadow: 'none',
}

const scheme = {
  primary: { color: ink, contrastColor: 'var(--paper)', hoverColor: 'var(--ink-2)', activeColor: 'var(--ink-2)' },
  highlight: { background: 'var(--clay-wash)', focusBackground: 'var(--clay-wash)', color: ink, focusColor: ink },
  text: { color: ink, hoverColor: ink, mutedColor: 'var(--ink-soft)', hoverMutedColor: ink },
  content: {
    background: 'var(--sheet)',
    hoverBackground: 'var(--paper-2)',
    borderColor: 'var(--edge)',
    color: ink,
    hoverColor: ink,
  },
  overlay: {
    select: { background: 'var(--sheet)', borderColor: 'var(--edge)', color: ink },
    popover: { background: 'var(--sheet)', borderColor: 'var(--edge)', color: ink },
    modal: { background: 'var(--sheet)', borderColor: 'var(--edge)', color: ink },
  },
  formField: field,
  list: {
    option: {
      focusBackground: 'var(--paper-2)',
      selectedBackground: 'var(--clay-wash)',
      selectedFocusBackground: 'var(--clay-wash)',
      color: ink,
      focusColor: ink,
      selectedColor: ink,
      selectedFocusColor: ink,
    },
  },
  navigation: {
    item: { focusBackground: 'var(--paper-2)', activeBackground: 'var(--paper-2)', color: ink, focusColor: ink },
    submenuLabel: { color: 'var(--ink-soft)' },
  },
  mask: { background: 'rgb(20 26 36 / 45%)' },
}

/** Our own look for PrimeVue's controls: paper, ink and square stone corners, all taken from the app's own colours. */
export const settPreset = definePreset(
  { ...base, components: { button, checkbox, datatable, dialog, inputtext, menu, select, textarea, toast } },
  {
    semantic: {
      focusRing: { width: '3px', style: 'solid', color: 'var(--focus)', offset: '2px' },
      transitionDuration: '0.12s',
      formField: { paddingX: '0.75rem', paddingY: '0.6rem', borderRadius: '4px' },
      content: { borderRadius: '4px' },
      overlay: { modal: { borderRadius: '6px', padding: '1.25rem' } },
      colorScheme: { light: scheme, dark: scheme },
    },
  },
)
