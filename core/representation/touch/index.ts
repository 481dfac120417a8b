/** The door to touch numerals: pen paths and notches, and a class's own map of them. */
export { type Notch, type NotchMap, notchesIn, parseNotchMap, placed } from './notches'
export { PEN_PATHS, svgOf } from './paths'
