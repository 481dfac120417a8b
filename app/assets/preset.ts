import { definePreset } from '@primeuix/themes'
import base from '@primeuix/themes/aura/base'
import button from '@primeuix/themes/aura/button'
import checkbox from '@primeuix/themes/aura/checkbox'
import datatable from '@primeuix/themes/aura/datatable'
import datepicker from '@primeuix/themes/aura/datepicker'
import dialog from '@primeuix/themes/aura/dialog'
import drawer from '@primeuix/themes/aura/drawer'
import inputnumber from '@primeuix/themes/aura/inputnumber'
import inputtext from '@primeuix/themes/aura/inputtext'
import listbox from '@primeuix/themes/aura/listbox'
import menu from '@primeuix/themes/aura/menu'
import message from '@primeuix/themes/aura/message'
import popover from '@primeuix/themes/aura/popover'
import radiobutton from '@primeuix/themes/aura/radiobutton'
import select from '@primeuix/themes/aura/select'
import selectbutton from '@primeuix/themes/aura/selectbutton'
import stepper from '@primeuix/themes/aura/stepper'
import textarea from '@primeuix/themes/aura/textarea'
import toast from '@primeuix/themes/aura/toast'
import togglebutton from '@primeuix/themes/aura/togglebutton'
import tooltip from '@primeuix/themes/aura/tooltip'

const ink = 'var(--ink)'
const field = {
  background: 'var(--sheet)',
  disabledBackground: 'var(--paper-2)',
  color: ink,
  borderColor: 'var(--edge)',
  hoverBorderColor: 'var(--ink)',
  focusBorderColor: 'var(--focus)',
  invalidBorderColor: 'var(--plum)',
  placeholderColor: 'var(--ink-soft)',
  iconColor: 'var(--ink-soft)',
  shadow: 'none',
}
const surface = { background: 'var(--sheet)', borderColor: 'var(--line)', color: ink }

const scheme = {
  primary: {
    color: 'var(--clay)',
    contrastColor: 'var(--on-clay)',
    hoverColor: 'var(--clay-2)',
    activeColor: 'var(--clay-2)',
  },
  highlight: { background: 'var(--clay-wash)', focusBackground: 'var(--clay-wash)', color: ink, focusColor: ink },
  text: { color: ink, hoverColor: ink, mutedColor: 'var(--ink-soft)', hoverMutedColor: ink },
  content: { ...surface, hoverBackground: 'var(--paper-2)', hoverColor: ink },
  overlay: { select: surface, popover: surface, modal: surface },
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
    optionGroup: { background: 'transparent', color: 'var(--ink-soft)' },
  },
  navigation: {
    item: { focusBackground: 'var(--paper-2)', activeBackground: 'var(--paper-2)', color: ink, focusColor: ink },
    submenuLabel: { color: 'var(--ink-soft)' },
  },
  mask: { background: 'rgb(20 26 36 / 45%)' },
}

/** A plain button is a sheet with a fine edge; a quiet one has neither until it is pointed at. */
const plain = {
  background: 'var(--sheet)',
  hoverBackground: 'var(--paper-2)',
  activeBackground: 'var(--paper-2)',
  borderColor: 'var(--line-2)',
  hoverBorderColor: 'var(--edge)',
  activeBorderColor: 'var(--edge)',
  color: ink,
  hoverColor: ink,
  activeColor: ink,
}
const quiet = { hoverBackground: 'var(--paper-2)', activeBackground: 'var(--paper-2)', color: 'var(--ink-2)' }
const buttons = { root: { secondary: plain }, text: { secondary: quiet, plain: quiet } }
const togglebuttons = {
  root: {
    background: 'var(--paper-2)',
    hoverBackground: 'var(--paper-2)',
    checkedBackground: 'var(--paper-2)',
    borderColor: 'var(--paper-2)',
    checkedBorderColor: 'var(--paper-2)',
    color: 'var(--ink-2)',
    hoverColor: ink,
    checkedColor: ink,
  },
  content: { checkedBackground: 'var(--sheet)', checkedShadow: 'var(--shadow)' },
}

/** A message in one of our own colours, as a tag is. */
const told = (wash: string, color: string) => ({
  background: wash,
  borderColor: wash,
  color,
  shadow: 'none',
  closeButton: { hoverBackground: 'transparent', focusRing: { color: 'var(--focus)', shadow: 'none' } },
})
const messages = {
  success: told('var(--moss-wash)', 'var(--moss)'),
  info: told('var(--paper-2)', ink),
  warn: told('var(--clay-wash)', 'var(--clay-2)'),
  error: told('var(--plum-wash)', 'var(--plum)'),
}

/** Our own look for PrimeVue's controls: paper, ink, one clay button, soft corners; all colours are those of main.css, so that a theme is chosen in one place. */
export const settPreset = definePreset(
  {
    ...base,
    components: {
      button,
      checkbox,
      datatable,
      datepicker,
      dialog,
      drawer,
      inputnumber,
      inputtext,
      listbox,
      menu,
      message,
      popover,
      radiobutton,
      select,
      selectbutton,
      stepper,
      textarea,
      toast,
      togglebutton,
      tooltip,
    },
  },
  {
    semantic: {
      focusRing: { width: '3px', style: 'solid', color: 'var(--focus)', offset: '2px' },
      transitionDuration: '0.12s',
      formField: { paddingX: '0.85rem', paddingY: '0.55rem', borderRadius: '10px' },
      content: { borderRadius: '10px' },
      list: { option: { borderRadius: '8px' } },
      overlay: {
        modal: { borderRadius: '14px', padding: '1.25rem' },
        select: { borderRadius: '12px' },
        popover: { borderRadius: '12px' },
      },
      colorScheme: { light: scheme, dark: scheme },
    },
    components: {
      button: { root: { label: { fontWeight: '700' } }, colorScheme: { light: buttons, dark: buttons } },
      // A day of the calendar is as large to press as a button.
      datepicker: { date: { width: '44px', height: '44px' } },
      message: { colorScheme: { light: messages, dark: messages } },
      togglebutton: { colorScheme: { light: togglebuttons, dark: togglebuttons } },
      tooltip: {
        colorScheme: {
          light: { root: { background: 'var(--ink)', color: 'var(--paper)' } },
          dark: { root: { background: 'var(--ink)', color: 'var(--paper)' } },
        },
      },
    },
  },
)
