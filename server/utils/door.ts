import type { Addresses } from './addresses'

let shut!: (addresses: Promise<Addresses>) => void
/** Every address and who may use it; until it is known, requests wait. */
export const addresses = new Promise<Addresses>((done) => (shut = done))
/** Says where the addresses come from. */
export const letIn = (found: Promise<Addresses>): void => shut(found)
