/** A teacher and a class of three, for tests of exercises that are set to it. */
import type mysql from 'mysql2/promise'
import { exerciseSetSchema, type Assignment } from '../../shared/exercises/assignment'
import { enrol, newAccount, newClass } from '../people'
import { database, Person } from './client'

export const NAMES = ['Alma', 'Bo', 'Cleo'] as const
const password = 'grey-heron-lamp'

export interface ExerciseClass {
  readonly connection: mysql.Connection
  readonly teacher: Person
  readonly classId: number
  readonly learners: readonly Person[]
  readonly ids: readonly number[]
}

export async function exerciseClass(): Promise<ExerciseClass> {
  const connection = await database(),
    mark = `${Date.now().toString(36)}${Math.floor(Math.random() * 1e6).toString(36)}`,
    email = (name: string): string => `${name}-${mark}@school.example`
  const teacherId = await newAccount(connection, { email: email('reed'), name: 'Reed', password, house: 'instructor' }),
    classId = await newClass(connection, `Exercise class ${mark}`, teacherId)
  const learners: Person[] = [],
    ids: number[] = []
  for (const name of NAMES) {
    const id = await newAccount(connection, { email: email(name), name, password })
    await enrol(connection, { classId, accountId: id })
    ids.push(id)
    learners.push(await Person.signedIn(email(name), { password }))
  }
  return { connection, teacher: await Person.signedIn(email('reed'), { password }), classId, learners, ids }
}

/** A day from now, as in 2026-09-01. */
export const day = (days: number): string => new Date(Date.now() + days * 86_400_000).toISOString().slice(0, 10)

export const setOf = async ({ teacher }: ExerciseClass, setId: number) =>
  exerciseSetSchema.parse(await (await teacher.fetch(`/exercise-sets/${setId}`)).json())
export const assignmentOf = async (to: ExerciseClass, setId: number, learner: number): Promise<Assignment> =>
  (await setOf(to, setId)).assignments.find(a => a.learner.id === to.ids[learner])!

export function form(name: string, bytes: Buffer): FormData {
  const data = new FormData()
  data.append(name, new Blob([new Uint8Array(bytes)]), 'photo.png')
  return data
}
