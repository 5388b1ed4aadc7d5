/** How much one person may hand in within a day, and how much may wait at all: a house's measuring is everybody's. */
import { AppError } from '../../../shared/errors'
import { countQueued } from '../../db/pieces/measurements'
import { countSince } from '../../db/pieces/submissions'
import { db } from '../../db/pool'

/** Pictures of one learner within a day: more than anybody paints. */
export const MOST_A_DAY = 200
/** Pictures that wait to be measured: about half an hour's. */
export const MOST_WAITING = 1000
const DAY_MS = 86_400_000

/** @throws AppError in the learner's words; nothing was looked at then. */
export async function refuseBeyondQuota(learnerId: number, now: Date): Promise<void> {
  if ((await countSince(db(), learnerId, new Date(now.getTime() - DAY_MS))) >= MOST_A_DAY)
    throw new AppError(
      'too-many-tries',
      `You handed in ${MOST_A_DAY} pictures within a day. Hand in the next one tomorrow; what you wrote stays here.`
    )
  const { count, ageSeconds } = await countQueued(db())
  if (count >= MOST_WAITING)
    throw new AppError(
      'unavailable',
      `${count} pictures wait to be measured just now, the first of them for ${Math.ceil(ageSeconds / 60)} minutes.`
        + ' Hand yours in a little later; what you wrote stays here.'
    )
}
