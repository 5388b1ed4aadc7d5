/** A learner's term on a sheet: words and small pictures. */
import { lineWords, tallyWords, weakestStation } from '../../../core/progress/words'
import { rowOf } from '../../../core/critique/stations/table'
import type { Account } from '../../../shared/account'
import { readPicture } from '../../blobs/pictures'
import { printTermSheet } from '../../work/workers'
import { progressOf } from './learner'

/** The latest of a long term: what fits a page or two. */
const MOST_PICTURES = 12

export async function termSheet(account: Account, learnerId: number): Promise<{ bytes: Uint8Array; name: string }> {
  const { learner, pieces, lines, tally, exercises } = await progressOf(account, learnerId)
  const shown = pieces.slice(-MOST_PICTURES),
    pictures = await Promise.all(shown.map(p => readPicture(p.id, 'thumb')))
  const weakest = weakestStation(tally)
  const bytes = await printTermSheet(
    {
      name: learner.name,
      from: pieces[0]?.at ?? null,
      to: pieces.at(-1)?.at ?? null,
      pieces: shown.map(({ title, at, version }, i) => ({
        title: version > 1 ? `${title}, version ${version}` : title,
        at,
        picture: pictures[i]?.bytes ?? null
      })),
      readings: lines.map(lineWords),
      corrections: [
        tallyWords(tally),
        ...tally.map(t => `${rowOf(t.station).name}: ${tallyWords([t]).replace(/^./, c => c.toLowerCase())}`),
        ...(weakest ? [`Most is open in ${weakest}.`] : [])
      ],
      exercises: exercises.map(({ title, state }) => `${title}: ${state}`)
    },
    `${account.id}`
  )
  return { bytes, name: learner.name }
}
