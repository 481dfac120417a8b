import { killed, WORKS } from '../../tests/server/killing'
import type { Figure } from './all'

/** Trials come from tablets all day: what takes them in is killed most. */
const timesFor = (work: (typeof WORKS)[number]): number => (work === 'noting' ? 200 : 50)

/** Servers killed while saving, importing, backing up and erasing, and whether anything that was told was lost. */
export async function killsSurvived(): Promise<Figure[]> {
  const figures: Figure[] = []
  for (const work of WORKS) {
    const lost = await killed(work, timesFor(work)).then(
      () => '',
      (error: Error) => error.message,
    )
    figures.push({
      what: `killed ${timesFor(work)} times while ${work.replace('-', ' ')}`,
      value: lost ? 'lost' : 'nothing lost',
      beside: lost || 'the database whole each time, all there that was told',
    })
  }
  return figures
}
