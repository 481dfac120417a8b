import { refuse } from '../utils/problem'

/** Any other address under /api. */
export default defineEventHandler(() => refuse(404, 'There is nothing at this address.'))
