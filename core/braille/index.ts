/** The door to braille: written lines in two codes, columns in space, files for an embosser. */
export { brailleLine, CODES, type BrailleCode } from './lines'
export { fromUnicode, folded, PAGE, readBrf, toAscii, toBrf, toUnicode } from './brf'
export { MOST_SPATIAL_DIGITS, spatialAddition, spatialSubtraction } from './spatial'
