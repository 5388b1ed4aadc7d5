/**
 * A word through the outbox two days before an exercise is due, to who has not handed it in; and a file for their
 * calendar.
 */
import { createEvent } from 'ics'
import { exerciseSet } from '../../../core/exercise'
import type { Account } from '../../../shared/account'
import { AppError } from '../../../shared/errors'
import { claimDueSoon } from '../../db/exercises/assignments'
import { transaction } from '../../db/pool'
import { settings } from '../../settings'
import { visibleAssignment } from '../access'
import { tellExercise } from '../mail/mail'
import { logError } from '../../log'

/** Reminds of everything that is due soon. @returns how many were reminded. */
export async function remindDue(): Promise<number> {
  for (let told = 0; ; told++) {
    const found = await transaction(async connection => {
      const soon = await claimDueSoon(connection)
      if (soon) await tellExercise(connection, { what: 'due', ...soon, note: '' })
      return soon
    })
    if (!found) return told
  }
}

const LOOK_MS = 15 * 60_000
let looking: NodeJS.Timeout | null = null
export function startReminding(): void {
  const look = (): void => void remindDue().catch(error => logError('reminding failed', error))
  setTimeout(look, 15_000).unref()
  looking = setInterval(look, LOOK_MS)
  looking.unref()
}
export const stopReminding = (): void => {
  if (looking) clearInterval(looking)
}

/** The day it is due, as RFC 5545 has it: the whole day, with a reminder two days before. */
export async function calendarFile(account: Account, id: number): Promise<string> {
  const assignment = await visibleAssignment(account, id),
    { dueOn, note } = assignment,
    { title, trains } = exerciseSet(assignment)
  const [year, month, day] = dueOn.split('-').map(Number) as [number, number, number]
  const { error, value } = createEvent({
    uid: `exercise-${id}@critica`,
    productId: 'critica',
    title: `${title}: due`,
    description: [trains, note].filter(Boolean).join('\n'),
    url: `${settings().CRITICA_ORIGIN}/exercises/${id}`,
    start: [year, month, day],
    duration: { days: 1 },
    alarms: [{ action: 'display', description: title, trigger: { days: 2, before: true } }]
  })
  if (error || !value) throw new AppError('unexpected', 'The calendar file could not be written.')
  return value
}
