/**
 * Loads the harbour class through the product's own services, so that the demo holds nothing that
 * a person could not have made: hand-ins are decoded and measured, the critique is written and
 * released, the exercise is handed in and checked.
 */
import { writeFile } from 'node:fs/promises'
import type { Account } from '../shared/account'
import type { HandIn } from '../shared/pieces/submission'
import { correctionInputSchema, FOCUS_NAME, type CorrectionWritten } from '../shared/critique'
import { findAccount, insertAccount } from '../server/db/people/accounts'
import { insertClass } from '../server/db/classes/classes'
import { insertMembership } from '../server/db/classes/memberships'
import { db } from '../server/db/pool'
import type { Plan } from '../core/exercise/plan/plan'
import { answerHandIn, readSet, setExercise } from '../server/services/exercises/setting'
import { checkPrivately, writePlan } from '../server/services/exercises/answering'
import { listAssignments } from '../server/services/exercises/listing'
import { addArea, addCorrection } from '../server/services/critique/corrections'
import { assignExercise, changeNotes, releaseCritique, writeVerdict } from '../server/services/critique/critiques'
import { handIn } from '../server/services/pieces/handing-in'
import { addPaints, setClassPaints } from '../server/services/workshop/paints'
import { keepRun } from '../server/services/workshop/drills'
import { keepSwatch } from '../server/services/workshop/swatches'
import { receive } from '../server/services/inbox/receiving'
import { measuringDone } from '../server/services/pieces/measuring'
import { hashPassword } from '../server/work/workers'
import { withScratch } from '../server/scratch'
import { boundsOf, type Area } from '../core/picture/area'
import { FERRY, pieceNamed, POTS, REGATTA_FOCUS, PIECES, type DemoPiece } from './manifest'
import { exercisePieces, STUDY, WHO } from './exercises'
import { LETTERS, writtenLetter } from './letters'
import { ADAS_BOOK, CLASS_BOX, demoRuns } from './workshop'
import { LIGHTSHIP, LIGHTSHIP_AGAIN, LIGHTSHIP_MARKS, LIGHTSHIP_WORDS } from './versions'
import { CLASS_NAME, DEMO_PASSWORD, INSTRUCTOR, LEARNERS, type Person } from './people'
import { renderPiece, renderReference } from './render'

const DAY = 86_400_000

async function openAccount({ name, email, role }: Person, classId: number): Promise<Account> {
  const id = await insertAccount(db(), {
    name,
    email,
    passwordHash: await hashPassword(DEMO_PASSWORD),
    shownPassword: DEMO_PASSWORD
  })
  await insertMembership(db(), { classId, accountId: id, role })
  return (await findAccount(db(), id))!
}

/** @param progress called with a line as each picture is painted. */
export async function seedDemo(now: Date, progress: (text: string) => void): Promise<void> {
  const term = { startsOn: null, endsOn: null }
  const classId = await insertClass(db(), { name: CLASS_NAME, budgetMinutes: 25, ...term }, true)
  const instructor = await openAccount(INSTRUCTOR, classId)
  const learners = new Map<string, Account>()
  for (const person of LEARNERS) {
    learners.set(person.key, await openAccount(person, classId))
  }
  const bring = async (
    piece: DemoPiece,
    { assignmentId = null, earlierId }: Pick<HandIn, 'assignmentId' | 'earlierId'> = {}
  ): Promise<number> => {
    progress(`painting ${piece.words.title}`)
    const words = { ...piece.words, classId, assignmentId, earlierId },
      at = new Date(now.getTime() - piece.daysAgo * DAY)
    return withScratch(picture =>
      withScratch(async reference => {
        await writeFile(picture, await renderPiece(piece))
        const from = await renderReference(piece)
        if (from) await writeFile(reference, from)
        return handIn(learners.get(piece.learner)!, {
          words,
          files: { picture, reference: from && reference },
          now: at
        })
      })
    )
  }
  const ids = new Map<string, number>()
  for (const piece of PIECES) if (piece.key !== 'buoys') ids.set(piece.key, await bring(piece))
  await measuringDone()
  await markFerry(instructor, ids.get('ferry')!)
  await addArea(instructor, ids.get('regatta')!, { name: FOCUS_NAME, area: REGATTA_FOCUS })
  await changeNotes(instructor, ids.get('pots')!, {
    pairs: POTS.map(({ name, lit, shadow }) => ({ name, lit: middleOf(lit), shadow: middleOf(shadow) }))
  })
  await releaseSteps(instructor, ids.get('steps')!, now)
  const [assignment] = await listAssignments(learners.get('ada')!)
  await bring(pieceNamed('buoys'), { assignmentId: assignment.id })
  await setOpposites()
  await measuringDone()
  await bringAgain()
  await measuringDone()
  await setClassPaints(instructor, classId, CLASS_BOX)
  await addPaints(instructor, CLASS_BOX)
  await addPaints(learners.get('ada')!, CLASS_BOX)
  for (const swatch of ADAS_BOOK) await keepSwatch(learners.get('ada')!, swatch)
  for (const { learner, daysAgo, run } of demoRuns())
    await keepRun(learners.get(learner)!, run, new Date(now.getTime() - daysAgo * DAY))
  for (const letter of LETTERS) {
    progress(`writing “${letter.subject}”`)
    await withScratch(async file => {
      const raw = await writtenLetter(letter)
      await writeFile(file, raw)
      await receive({ file, bytes: raw.length, byHand: false })
    })
  }

  /** Marked, released, repaired, handed in again. */
  async function bringAgain(): Promise<void> {
    const id = await bring(LIGHTSHIP)
    await measuringDone()
    for (const draft of LIGHTSHIP_MARKS) await mark(instructor, id, draft)
    await writeVerdict(instructor, id, { ...LIGHTSHIP_WORDS, revision: 0 })
    await releaseCritique(instructor, id, { now: new Date(now.getTime() - 10 * DAY) })
    await bring(LIGHTSHIP_AGAIN, { earlierId: id })
  }

  /** To all but Ada, who has it from her critique: handed in, sent back, planned, tried. */
  async function setOpposites(): Promise<void> {
    const setId = await setExercise(instructor, classId, {
      exercise: 'opposites',
      own: null,
      dueOn: new Date(now.getTime() + 2 * DAY).toISOString().slice(0, 10),
      note: 'Take something from the harbour: it need not be boats.',
      tolerance: 'usual',
      medium: 'paint',
      key: 'each',
      learners: WHO.map(key => learners.get(key)!.id)
    })
    const { assignments } = await readSet(instructor, setId)
    const of = (key: string) => assignments.find(a => a.learner.id === learners.get(key)!.id)!
    const plan = (key: string, words: Pick<Plan, 'subject' | 'goal' | 'amounts'>): Promise<void> => {
      const { id, settings } = of(key)
      return writePlan(learners.get(key)!, id, { ...words, scheme: 'complementary', hue: settings.hue! })
    }
    await plan('bram', {
      subject: 'moorings in full sun',
      goal: 'Can the sails stay small?',
      amounts: [0.65, 0.25, 0.1]
    })
    await plan('joss', {
      subject: 'the moorings from the steps',
      goal: 'How little red does it take?',
      amounts: [0.7, 0.22, 0.08]
    })
    for (const piece of exercisePieces(key => of(key).settings.hue!))
      await bring(piece, { assignmentId: of(piece.learner).id })
    await measuringDone()
    await answerHandIn(instructor, of('mika').id, {
      outcome: 'again',
      word: 'The two compete: let one of them win.',
      now
    })
    const joss = learners.get('joss')!
    progress(`painting ${STUDY.words.title}`)
    await withScratch(async picture => {
      await writeFile(picture, await renderPiece(STUDY))
      await checkPrivately(joss, of('joss').id, { picture, reference: null })
    })
  }
}

const middleOf = (area: Area): { x: number; y: number } => {
  const { x, y, w, h } = boundsOf(area)
  return { x: x + w / 2, y: y + h / 2 }
}

const mark = (instructor: Account, id: number, draft: CorrectionWritten): Promise<number> =>
  addCorrection(instructor, id, correctionInputSchema.parse(draft))

/** A critique begun: one area, one correction. */
async function markFerry(instructor: Account, id: number): Promise<void> {
  await addArea(instructor, id, { name: 'the ferry', area: FERRY })
  await mark(instructor, id, {
    station: 'values',
    area: FERRY,
    readingId: 'value.separation',
    reason: 'The ferry merges with its surroundings.',
    what: 'The ferry merges with what is around it.',
    todo: 'Lower the hull until it comes away with the eyes half closed, and leave the house a step lighter.',
    target: { measure: 'separation', atLeast: 15 }
  })
}

/** A critique finished and released, with the opposites exercise. */
async function releaseSteps(instructor: Account, id: number, now: Date): Promise<void> {
  await mark(instructor, id, {
    station: 'harmony',
    area: { kind: 'rectangle', x: 0.44, y: 0.26, w: 0.16, h: 0.26 },
    readingId: null,
    reason: 'The coat is the only strong colour, and nothing near it answers.',
    what: 'The red stands alone.',
    todo: 'Take a little of the red, greyed, into the shadow of the wall, so that the coat belongs to the place.',
    target: null,
    // Two strokes of the red, greyed, where the wall's shadow falls.
    trial: {
      outside: false,
      feather: 0,
      strength: 0.7,
      operations: [],
      strokes: [
        [0.05, 0.44],
        [0.19, 0.24]
      ].map(([x, y]) => ({
        hex: '#5c4148',
        width: 0.03,
        points: [
          [x!, y!, 0.5],
          [x! + 0.02, y! + 0.08, 0.6],
          [x!, y! + 0.16, 0.4]
        ] as const
      }))
    }
  })
  await mark(instructor, id, {
    station: 'values',
    area: { kind: 'rectangle', x: 0, y: 0.775, w: 1, h: 0.2 },
    readingId: null,
    reason: 'The water has as many light dashes as the steps.',
    what: 'The water is as busy as the steps.',
    todo: 'Join the dashes into two or three larger lights and let the rest go quiet.',
    target: null,
    trial: {
      outside: false,
      feather: 0.006,
      strength: 1,
      operations: [
        { kind: 'range', times: 0.4 },
        { kind: 'edges', by: -0.8 }
      ]
    }
  })
  await writeVerdict(instructor, id, {
    works:
      'The jump from the dark wall to the sunlit steps reads from across the room.\n'
      + 'The coat is small and still the first thing seen: the steps lead to it.',
    verdict:
      'The light is found. Now let the shadows carry some of the colour they stand beside,'
      + ' so that the coat is the loudest thing and not the only one.',
    revision: 0
  })
  await assignExercise(instructor, id, {
    exercise: 'opposites',
    dueOn: new Date(now.getTime() + 5 * DAY).toISOString().slice(0, 10),
    own: null,
    hue: null,
    tolerance: 'usual',
    medium: 'any'
  })
  await releaseCritique(instructor, id, { now: new Date(now.getTime() - 9 * DAY) })
}
