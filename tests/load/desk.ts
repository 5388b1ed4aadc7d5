/**
 * `npm run desk`: the desk of a class with 5,000 pieces beside that of one with 50, on a server of their own: how long
 * what a desk asks takes, and whether the database goes through more than it has to.
 */
import type { RowDataPacket } from 'mysql2/promise'
import { countShelves, listOnShelf, listShelf } from '../../server/db/lists'
import type { Db } from '../../server/db/pool'
import { picture, type Person } from '../api/client'
import { House } from '../house'
import { conclude, figure, quantile } from './figures'

const FEW = 50,
  MANY = 5000,
  ROUNDS = 100,
  /** A server's code is compiled for what it is asked often. */
  WARM_UP = 30
const SHELVES = ['review', 'released', 'exercises'] as const

const house = await House.open({ instructors: 2, learners: 2 })
const connection = await house.connect()
/** A piece of each learner's own, measured; every other one is made after it. */
const first = await Promise.all(
  [0, 1].map(async i => {
    const learner = await house.signedIn(`learner-${i}`),
      answer = await learner.handIn(await picture(200, 150), { classId: `${house.classOf(i)}` }),
      { id } = (await answer.json()) as { id: number }
    return id
  })
)
await house.allMeasured()

/** Six of ten wait, three are released, one answers an exercise. */
async function fill(model: number, count: number): Promise<void> {
  const each = `FROM seq_1_to_${count - 1} q JOIN submissions s ON s.id = ?`
  const [made] = await connection.query<RowDataPacket[]>('SELECT MAX(id) AS last FROM submissions'),
    last = Number(made[0]!.last)
  await connection.query(
    `INSERT INTO assignments (submission_id, exercise, due_on, learner_id, class_id)
     SELECT NULL, 'opposites', '2027-01-01', s.learner_id, s.class_id ${each} WHERE q.seq % 10 = 0`,
    [model]
  )
  const [[{ from }]] = (await connection.query<RowDataPacket[]>(
    'SELECT MIN(x.id) AS `from` FROM assignments x JOIN submissions s ON s.learner_id = x.learner_id WHERE s.id = ?',
    [model]
  )) as unknown as [[{ from: number }]]
  await connection.query(
    `INSERT INTO submissions (class_id, learner_id, picture_id, title, stage, assignment_id, handed_in_at,
       waits, released)
     SELECT s.class_id, s.learner_id, s.picture_id, CONCAT('Piece ', q.seq), s.stage,
       IF(q.seq % 10 = 0, ? + q.seq DIV 10 - 1, NULL), s.handed_in_at + INTERVAL q.seq MINUTE,
       CASE WHEN q.seq % 10 = 0 THEN 'exercises' WHEN q.seq % 10 < 7 THEN 'review' END, q.seq % 10 >= 7 ${each}`,
    [from, model]
  )
  await connection.query(
    `INSERT INTO critiques (submission_id, state, works, verdict)
     SELECT id, IF(title RLIKE '[789]$', 'released', 'draft'), '', '' FROM submissions WHERE id > ?`,
    [last]
  )
  await connection.query(
    `INSERT INTO measurements (submission_id, state, report_version, report, extras, fingerprint, updated_at)
     SELECT t.id, m.state, m.report_version, m.report, m.extras, m.fingerprint, m.updated_at FROM submissions t
     JOIN measurements m ON m.submission_id = ? WHERE t.id > ?`,
    [model, last]
  )
}
const took = async (who: Person, path: string): Promise<number> => {
  const from = performance.now(),
    answer = await who.fetch(path)
  await answer.arrayBuffer()
  if (!answer.ok) throw new Error(`${path}: ${answer.status}`)
  return performance.now() - from
}

const review = '/submissions?shelf=review'
/** What the page asks when it is opened, and each of its shelves. */
const OPENINGS: readonly (readonly [what: string, paths: readonly string[]])[] = [
  ['the desk opened', ['/shelves', review]],
  ...SHELVES.slice(1).map(shelf => [shelf, [`/submissions?shelf=${shelf}`]] as const)
]

/** Of few and of many by turns. */
async function timed(): Promise<void> {
  const instructors = [await house.signedIn('instructor-0'), await house.signedIn('instructor-1')]
  for (const [what, paths] of OPENINGS) {
    const times: [number[], number[]] = [[], []]
    for (let round = -WARM_UP; round < ROUNDS; round++)
      for (const i of [0, 1] as const) {
        const longest = Math.max(...(await Promise.all(paths.map(path => took(instructors[i]!, path)))))
        if (round >= 0) times[i].push(longest)
      }
    const [few, many] = times.map(t => quantile(t, 0.5)) as [number, number]
    console.log(`${what}: ${few.toFixed(1)} ms of ${FEW}, ${many.toFixed(1)} ms of ${MANY}`)
    figure(`${what}, ${MANY} over ${FEW}`, { value: many / few, most: 1.5 })
  }
}

/** What is asked of the database, and what it would go through for it. */
async function planned(): Promise<void> {
  const [[found]] = await connection.query<RowDataPacket[]>(
      `SELECT MAX(IF(email = 'instructor-1@house.example', id, 0)) AS staff,
         MAX(IF(email = 'learner-1@house.example', id, 0)) AS learner FROM accounts`
    ),
    staffId = Number(found!.staff),
    asked: [sql: string, values: unknown][] = []
  const noted: Db = {
    execute: (sql, values) => {
      asked.push([sql, values])
      return connection.execute(sql, values) as never
    }
  }
  const window = { after: null, most: 40 }
  for (const shelf of SHELVES) await listShelf(noted, { staffId, classId: null, shelf, window })
  await countShelves(noted, staffId, null)
  const of = { learnerId: Number(found!.learner), exercise: null }
  for (const shelf of SHELVES) await listShelf(noted, { staffId, classId: null, shelf, of, window })
  await listShelf(noted, {
    staffId,
    classId: null,
    shelf: 'exercises',
    of: { learnerId: null, exercise: 'opposites' },
    window
  })
  for (const shelf of SHELVES) await listOnShelf(noted, { staffId, classId: null, shelf })
  for (const [sql, values] of asked) {
    const [plan] = await connection.query<RowDataPacket[]>(`EXPLAIN ${sql}`, values as never)
    console.log(sql.replace(/\s+/g, ' ').slice(0, 90))
    for (const { table, type, key, rows, Extra } of plan) console.log(`   ${table} ${type} ${key} ${rows} ${Extra}`)
    figure('   tables gone through from end to end', {
      // What another step made, and bounded, is no table.
      value: plan.filter(step => step.type === 'ALL' && Number(step.rows) > FEW && !`${step.table}`.startsWith('<'))
        .length,
      most: 0
    })
  }
}

async function compared(): Promise<void> {
  await fill(first[0]!, FEW)
  await fill(first[1]!, MANY)
  await connection.query('ANALYZE TABLE submissions, critiques, measurements, assignments')
  await timed()
  await planned()
}

try {
  await compared()
} finally {
  await connection.end()
  await house.close()
}
conclude()
