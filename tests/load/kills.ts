/**
 * `npm run kills`: a class at the whole job while its server, its database or both are killed (SIGKILL) at a hundred
 * random moments (`npm run kills -- 20`: at twenty). What was answered for must be there afterwards, once and whole;
 * nothing may be there by halves.
 */
import { randomBytes } from 'node:crypto'
import { setTimeout as wait } from 'node:timers/promises'
import { endChild } from '../../bin/lib/processes'
import { seededRandom } from '../../core/numeric/random'
import type { Critique } from '../../shared/critique'
import { picture, type Person } from '../api/client'
import { day } from '../api/exercise-class'
import { halves } from '../consistency'
import { House } from '../house'
import { conclude, figure } from './figures'

const KILLS = Number(process.argv[2] ?? 100),
  LEARNERS = 8,
  /** Milliseconds between all being up and the next kill: from the middle of a start to the middle of the work. */
  LONGEST_MS = 5000
const random = seededRandom(3)

/** Something answered for: a statement that finds it, exactly once. */
interface Proof {
  readonly what: string
  readonly sql: string
  readonly values: readonly (string | number)[]
}
const proofs: Proof[] = []
const proven = (what: string, sql: string, ...values: (string | number)[]): unknown =>
  proofs.push({ what, sql, values })

const house = await House.open({ learners: LEARNERS })
let going = true,
  asked = 0,
  unanswered = 0

class Over extends Error {}

/** Asked again, the same, until it is answered. */
async function answered(ask: () => Promise<Response>): Promise<Response> {
  for (;;) {
    const answer = await ask().catch(() => null)
    asked++
    if (answer && answer.status < 500) return answer
    unanswered++
    if (!going) throw new Over()
    await wait(150)
  }
}
const read = async <T>(person: Person, path: string): Promise<T> =>
  (await (await answered(() => person.fetch(path))).json()) as T
const send = (person: Person, path: string, body: object): Promise<Response> => {
  const key = randomBytes(16).toString('hex')
  return answered(() => person.once(key, path, body))
}
const enter = async (who: string): Promise<Person> => {
  for (;;) {
    const person = await house.signedIn(who).catch(() => null)
    if (person) return person
    if (!going) throw new Over()
    await wait(150)
  }
}

async function handIn(learner: Person, words: Record<string, string>): Promise<number> {
  const key = randomBytes(16).toString('hex'),
    file = await picture(60 + Math.floor(random() * 400), 60 + Math.floor(random() * 300)),
    answer = await answered(() => learner.handIn(file, { ...words, key }))
  // So many a day, and the day is over for this one.
  if (answer.status === 429) throw new Over()
  if (!answer.ok) throw new Error(`a hand-in was refused: ${await answer.text()}`)
  const { id } = (await answer.json()) as { id: number }
  proven('a piece', 'SELECT 1 FROM submissions WHERE id = ? AND hand_in_key = ? AND title = ?', id, key, words.title!)
  return id
}

async function review(teacher: Person, id: number, title: string): Promise<void> {
  for (let n = 0; n < 3; n++) {
    const what = `Number ${n} of ${id}`
    const { ok } = await send(teacher, `/submissions/${id}/corrections`, {
      station: 'values',
      area: { kind: 'rectangle', x: 0.1, y: 0.1, w: 0.3, h: 0.3 },
      readingId: null,
      reason: '',
      what,
      todo: '',
      target: null
    })
    if (ok) proven('a correction', 'SELECT 1 FROM corrections WHERE submission_id = ? AND what = ?', id, what)
  }
  // What was kept of an answer that never came is read first, as a page does.
  const verdict = `All of ${id}, ${randomBytes(4).toString('hex')}`
  await answered(async () => {
    const { revision, verdict: kept } = (await (await teacher.fetch(`/submissions/${id}/critique`)).json()) as Critique
    return kept === verdict
      ? new Response()
      : teacher.json('PUT', `/submissions/${id}/verdict`, { works: 'The boat.', verdict, revision })
  })
  proven('a verdict', 'SELECT 1 FROM critiques WHERE submission_id = ? AND verdict = ?', id, verdict)
  if ((await send(teacher, `/submissions/${id}/release`, {})).ok) {
    proven('a release', "SELECT 1 FROM critiques WHERE submission_id = ? AND state = 'released'", id)
    proven('its mail', 'SELECT 1 FROM outbox WHERE subject = ?', `The critique of “${title}” is there`)
  }
}

/** A learner hands in, is answered, asks back, hands in again; an exercise is set, answered and confirmed. */
async function work(n: number): Promise<void> {
  const teacher = await enter('instructor-0'),
    learner = await enter(`learner-${n}`),
    classId = house.classOf(n)
  const {
    account: { id: own }
  } = await read<{ account: { id: number } }>(learner, '/session')
  for (; going; await wait(6000 * random())) {
    const words = { classId: `${classId}`, title: `A piece of ${n}, ${randomBytes(4).toString('hex')}` },
      id = await handIn(learner, words)
    await review(teacher, id, words.title)
    const question = `Why, of ${id}?`
    if ((await send(learner, `/submissions/${id}/question`, { question })).ok)
      proven('a question', 'SELECT 1 FROM critiques WHERE submission_id = ? AND question_back = ?', id, question)
    await handIn(learner, { ...words, earlierId: `${id}` })
    const note = `Set after ${id}`,
      set = { exercise: 'opposites', dueOn: day(5), note, key: 'each', learners: [own] },
      answer = await send(teacher, `/classes/${classId}/exercises`, set)
    if (!answer.ok) throw new Error(`an exercise was not set: ${await answer.text()}`)
    proven('an exercise', 'SELECT 1 FROM assignments WHERE note = ?', note)
    const { id: setId } = (await answer.json()) as { id: number },
      { assignments } = await read<{ assignments: { id: number }[] }>(teacher, `/exercise-sets/${setId}`),
      assignmentId = assignments[0]!.id
    await handIn(learner, { ...words, assignmentId: `${assignmentId}` })
    const word = `Good enough, ${id}`
    if ((await send(teacher, `/assignments/${assignmentId}/confirm`, { word })).ok)
      proven('a confirmation', 'SELECT 1 FROM assignments WHERE id = ? AND answer_word = ?', assignmentId, word)
  }
}

const everybody = Array.from({ length: LEARNERS }, (_, n) =>
  work(n).catch((error: unknown) => {
    if (!(error instanceof Over)) throw error
  })
)
for (let n = 1; n <= KILLS; n++) {
  await wait(LONGEST_MS * random())
  const which = Math.floor(random() * 3)
  if (which !== 1) house.server.kill('SIGKILL')
  if (which !== 0) {
    house.database.process.kill('SIGKILL')
    await wait(200)
    await house.startDatabase()
  }
  if (which !== 1) await house.startServer()
  if (n % 10 === 0) console.log(`killed ${n} times; ${asked} asked, ${unanswered} unanswered, ${proofs.length} kept`)
}
going = false
await Promise.all(everybody)
await house.allMeasured(180_000)
// Once more, so that what a start clears away is cleared away.
await endChild(house.server, 5000)
await house.startServer()
await wait(3000)

const connection = await house.connect(),
  lost: string[] = [],
  twice: string[] = []
for (const { what, sql, values } of proofs) {
  const [rows] = await connection.query<never[]>(sql, [...values])
  if (rows.length === 0) lost.push(`${what}: ${values.join(', ')}`)
  if (rows.length > 1) twice.push(`${what}: ${values.join(', ')}`)
}
const half = await halves(connection)
await connection.end()
for (const line of [...lost, ...twice, ...half]) console.log(line)
console.log(`${KILLS} kills, ${asked} asked, ${unanswered} unanswered, ${proofs.length} answered for`)
figure('answered for and lost', { value: lost.length, most: 0 })
figure('there twice', { value: twice.length, most: 0 })
figure('there by halves', { value: half.length, most: 0 })
await house.close()
conclude()
