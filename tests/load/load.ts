/**
 * `npm run load`: a school at work on a server of its own on the loopback address. 200 learners each ask something
 * every two seconds, 10 instructors something every second and mark, and 20 pictures of 12 megapixels are handed in a
 * minute, for five minutes. `npm run load -- 1`: for one minute.
 */
import { randomBytes } from 'node:crypto'
import { setTimeout as wait } from 'node:timers/promises'
import sharp from 'sharp'
import { seededRandom } from '../../core/numeric/random'
import { House } from '../house'
import type { Person } from '../api/client'
import { waitsDuring } from '../probe'
import { conclude, figure, quantile } from './figures'
import { heldBy } from './memory'

const MINUTES = Number(process.argv[2] ?? 5),
  LEARNERS = 200,
  INSTRUCTORS = 10,
  HAND_INS_A_MINUTE = 20
const LEARNER_MS = 2000,
  INSTRUCTOR_MS = 1000

const house = await House.open({ instructors: INSTRUCTORS, learners: LEARNERS })
const random = seededRandom(1)
/** A photograph's worth of grain, a few megabytes as a JPEG. */
const grain = await sharp(randomBytes(500 * 375 * 3), { raw: { width: 500, height: 375, channels: 3 } })
  .resize(4000, 3000, { kernel: 'cubic' })
  .toBuffer({ resolveWithObject: true })
const photograph = (brightness: number): Promise<Buffer> =>
  sharp(grain.data, { raw: { width: 4000, height: 3000, channels: 3 } })
    .modulate({ brightness })
    .jpeg({ quality: 82 })
    .toBuffer()
const photographs = await Promise.all([0.7, 0.8, 0.9, 1].map(photograph))

console.log(`signing in ${LEARNERS} learners and ${INSTRUCTORS} instructors`)
const people = (role: string, count: number): Promise<Person[]> =>
  Promise.all(Array.from({ length: count }, (_, i) => house.signedIn(`${role}-${i}`)))
const learners = await people('learner', LEARNERS),
  instructors = await people('instructor', INSTRUCTORS)

const reads: number[] = [],
  writes: number[] = [],
  errors: string[] = [],
  measured: number[] = []
let going = true

async function timed(into: number[], what: string, ask: () => Promise<Response>): Promise<unknown> {
  const from = performance.now()
  try {
    const answer = await ask(),
      told: unknown = answer.headers.get('content-type')?.includes('json')
        ? await answer.json()
        : await answer.arrayBuffer()
    into.push(performance.now() - from)
    if (!answer.ok && answer.status !== 304)
      errors.push(`${what}: ${answer.status} ${JSON.stringify(told).slice(0, 120)}`)
    return told
  } catch (error) {
    errors.push(`${what}: ${(error as Error).message}`)
    return null
  }
}
const get = (person: Person, path: string): Promise<unknown> => timed(reads, path, () => person.fetch(path))
type Page = { items: { id: number }[] } | null

/** Goes through one's own work: the list, a thumbnail, the piece. */
async function learn(person: Person): Promise<void> {
  await wait(LEARNER_MS * random())
  while (going) {
    const page = (await get(person, '/submissions')) as Page,
      id = page?.items[0]?.id
    for (const path of id ? [`/submissions/${id}/picture/thumb`, `/submissions/${id}`] : ['/classes']) {
      await wait(LEARNER_MS * (0.5 + random()))
      if (going) await get(person, path)
    }
    await wait(LEARNER_MS * (0.5 + random()))
  }
}

/** The desk, a piece with its picture, a correction, a note. */
async function teach(person: Person): Promise<void> {
  await wait(INSTRUCTOR_MS * random())
  while (going) {
    await get(person, '/shelves')
    const page = (await get(person, '/submissions?shelf=review')) as Page,
      piece = page?.items[Math.floor(random() * page.items.length)]?.id
    await wait(INSTRUCTOR_MS * (0.5 + random()))
    if (!piece) continue
    for (const path of ['', '/critique', '/picture/display']) await get(person, `/submissions/${piece}${path}`)
    const correction = {
      station: 'values',
      area: null,
      readingId: null,
      reason: '',
      what: 'The quay merges',
      todo: 'Darken it',
      target: null
    }
    const write = (method: string, rest: string, body: unknown): Promise<unknown> =>
      timed(writes, rest, () => person.json(method, `/submissions/${piece}${rest}`, body))
    for (const [method, rest, body] of [
      ['POST', '/corrections', correction],
      ['PUT', '/notes', { visited: ['values'] }],
      ['POST', '/time', { seconds: 5 }]
    ] as const) {
      await wait(INSTRUCTOR_MS * (0.5 + random()))
      if (going) await write(method, rest, body)
    }
  }
}

/** Hands in, and looks until the piece is measured. */
async function bring(person: Person, learner: number, turn: number): Promise<void> {
  const told = (await timed(writes, 'hand-in', () =>
    person.handIn(photographs[turn % photographs.length]!, {
      title: `Piece ${turn}`,
      classId: `${house.classOf(learner)}`
    })
  )) as { id?: number } | null
  if (!told?.id) return
  const from = performance.now()
  for (let i = 0; i < 600; i++, await wait(300)) {
    const [piece] = (await get(person, `/submissions/some?ids=${told.id}`)) as { measurement: { state: string } }[]
    if (piece?.measurement.state === 'done') return void measured.push(performance.now() - from)
  }
  errors.push(`piece ${told.id} was not measured in three minutes`)
}

const held: number[] = [],
  looking = setInterval(() => held.push(heldBy(house.server.pid!)), 1000)
const count = Math.round(MINUTES * HAND_INS_A_MINUTE)
const waits = await waitsDuring(house.origin, async () => {
  const everybody = [...learners.map(learn), ...instructors.map(teach)],
    brought: Promise<void>[] = []
  for (let turn = 0; turn < count; turn++) {
    const learner = Math.floor(random() * LEARNERS)
    brought.push(bring(learners[learner]!, learner, turn))
    await wait(60_000 / HAND_INS_A_MINUTE)
    if (turn % HAND_INS_A_MINUTE === HAND_INS_A_MINUTE - 1)
      console.log(
        `minute ${(turn + 1) / HAND_INS_A_MINUTE}: ${reads.length} reads, ${writes.length} writes,`
          + ` ${measured.length} measured, ${errors.length} errors`
      )
  }
  await Promise.all(brought)
  going = false
  await Promise.all(everybody)
})
clearInterval(looking)
await house.close()

for (const error of [...new Set(errors)].slice(0, 10)) console.log(`  ${error}`)
console.log(
  `${reads.length} reads, median ${Math.round(quantile(reads, 0.5))} ms;`
    + ` ${writes.length} writes, p95 ${Math.round(quantile(writes, 0.95))} ms;`
    + ` small questions: median ${Math.round(quantile(waits, 0.5))} ms`
)
figure('errors', { value: errors.length, most: 0 })
figure('stalls over 200 ms', { value: waits.filter(ms => ms > 200).length, most: 0 })
figure('reads, p95', { value: quantile(reads, 0.95), most: 500, unit: ' ms' })
figure('measured after the hand-in, p95', { value: quantile(measured, 0.95) / 1000, most: 15, unit: ' s' })
const third = Math.ceil(held.length / 3),
  [early, late] = [held.slice(third, 2 * third), held.slice(2 * third)].map(part => quantile(part, 0.5))
figure('memory in the last third over the third before it', { value: late! / early!, most: 1.15 })
conclude()
