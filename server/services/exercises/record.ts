/** Who is where with the exercises of a class, and which check is missed most. */
import Papa from 'papaparse'
import { checksOf, exerciseSet } from '../../../core/exercise'
import type { Account } from '../../../shared/account'
import type { Assignment, ExerciseRecord } from '../../../shared/exercises/assignment'
import { listAssignmentsIn } from '../../db/exercises/assignments'
import { findClass } from '../../db/classes/classes'
import { db } from '../../db/pool'
import { inClass } from '../access'

/** Handed in on the day it was due, or before: by the day of the house's clock. */
const onTime = ({ handIn, dueOn }: Assignment): boolean => handIn !== null && handIn.handedInAt.slice(0, 10) <= dueOn
const passed = ({ handIn }: Assignment): boolean =>
  Boolean(handIn?.checks?.length && handIn.checks.every(c => c.passed))

const count = (all: readonly Assignment[], is: (a: Assignment) => boolean): number => all.filter(is).length

function byLearner(all: readonly Assignment[]): ExerciseRecord['learners'] {
  const groups = new Map<number, Assignment[]>()
  for (const a of all) groups.set(a.learner.id, [...(groups.get(a.learner.id) ?? []), a])
  return [...groups.values()].map(own => ({
    ...own[0]!.learner,
    set: own.length,
    planned: count(own, a => a.plan !== null),
    tried: count(own, a => a.studies > 0),
    handedIn: count(own, a => a.handIn !== null),
    onTime: count(own, onTime),
    passed: count(own, passed),
    confirmed: count(own, a => a.confirmedAt !== null)
  }))
}

const MOST_MISSED = 5

/** Of the newest hand-ins: by exercise and check, those missed most often first. */
function missedChecks(all: readonly Assignment[]): ExerciseRecord['missed'] {
  const found = new Map<string, ExerciseRecord['missed'][number]>()
  for (const a of all)
    for (const result of a.handIn?.checks ?? []) {
      const { title } = exerciseSet(a),
        key = `${title} ${result.id}`
      const name = checksOf(a, a.settings, a.plan !== null).find(c => c.id === result.id)?.name ?? result.id
      const entry = found.get(key) ?? { title, check: result.id, name, of: 0, missed: 0 }
      found.set(key, { ...entry, of: entry.of + 1, missed: entry.missed + (result.passed ? 0 : 1) })
    }
  return [...found.values()]
    .filter(e => e.missed > 0)
    .sort((p, q) => q.missed - p.missed || q.missed / q.of - p.missed / p.of)
    .slice(0, MOST_MISSED)
}

function bySet(all: readonly Assignment[]): ExerciseRecord['sets'] {
  const ids = [...new Set(all.flatMap(a => a.setId ?? []))]
  return ids
    .map(id => {
      const own = all.filter(a => a.setId === id)
      return {
        id,
        title: exerciseSet(own[0]!).title,
        setAt: own[0]!.assignedAt,
        dueOn: own
          .map(a => a.dueOn)
          .sort()
          .at(-1)!,
        of: own.length,
        handedIn: count(own, a => a.handIn !== null),
        confirmed: count(own, a => a.confirmedAt !== null)
      }
    })
    .sort((p, q) => q.setAt.localeCompare(p.setAt) || q.id - p.id)
}

export async function exerciseRecord(account: Account, classId: number): Promise<ExerciseRecord> {
  await inClass(account, classId, 'look')
  const all = (await listAssignmentsIn(db(), classId)).filter(a => !a.withdrawnAt)
  return { learners: byLearner(all), missed: missedChecks(all), sets: bySet(all) }
}

/** A line an exercise of a learner; a cell that looks like a formula is kept from being one. */
export async function exerciseTable(account: Account, classId: number): Promise<{ text: string; className: string }> {
  await inClass(account, classId, 'look')
  const { name } = (await findClass(db(), classId))!
  const lines = (await listAssignmentsIn(db(), classId)).map(a => ({
    learner: a.learner.name,
    exercise: exerciseSet(a).title,
    'key colour (degrees)': a.settings.hue ?? '',
    set: a.assignedAt.slice(0, 10),
    due: a.dueOn,
    planned: a.plan ? 'yes' : 'no',
    studies: a.studies,
    'handed in': a.handIn?.handedInAt.slice(0, 10) ?? '',
    'on time': a.handIn ? (onTime(a) ? 'yes' : 'no') : '',
    'checks reached': a.handIn?.checks
      ? `${a.handIn.checks.filter(c => c.passed).length} of ${a.handIn.checks.length}`
      : '',
    confirmed: a.confirmedAt?.slice(0, 10) ?? '',
    withdrawn: a.withdrawnAt?.slice(0, 10) ?? ''
  }))
  return { text: `${Papa.unparse(lines, { escapeFormulae: true, newline: '\r\n' })}\r\n`, className: name }
}
