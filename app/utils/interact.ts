// Of interact.js only what is used here, dragging: the whole library is twice as large.
import '@interactjs/auto-start'
import '@interactjs/actions/drag'

export { default } from '@interactjs/interact'
