/** A school at work: what its people ask, what they wait for, what goes wrong. */
import { randomBytes } from 'node:crypto'
import { setTimeout as wait } from 'node:timers/promises'
import sharp from 'sharp'
import { seededRandom } from '../../core/numeric/random'
import type { Person } from '../api/client'
import type { House } from '../house'

/** How long somebody looks at what they see before they ask for the next thing, on average. */
const LEARNER_MS = 1000 * Number(process.argv[3] ?? 4),
  INSTRUCTOR_MS = 1000,
  /** So often a page looks whether a piece is measured, at first. */
  LOOK_MS = 1500,
  HAND_INS_A_MINUTE = 20,
  A_CLASS = 50

/** Milliseconds each; what went wrong, in words. */
export interface Heard {
  readonly reads: number[]
  readonly edits: number[]
  readonly handIns: number[]
  /** From the answer to a hand-in until its piece is measured. */
  readonly measured: number[]
  readonly errors: string[]
}

type Page = { items: { id: number; state: string; measurement: { state: string } }[] } | null

/** Photographs of 12 megapixels with their grain, a few megabytes each. */
async function photographs(): Promise<Buffer[]> {
  const grain = await sharp(randomBytes(500 * 375 * 3), { raw: { width: 500, height: 375, channels: 3 } })
    .resize(4000, 3000, { kernel: 'cubic' })
    .toBuffer()
  return Promise.all(
    [0.7, 0.8, 0.9, 1].map(brightness =>
      sharp(grain, { raw: { width: 4000, height: 3000, channels: 3 } })
        .modulate({ brightness })
        .jpeg({ quality: 82 })
        .toBuffer()
    )
  )
}

export class School {
  private readonly random = seededRandom(1)
  private heard: Heard = { reads: [], edits: [], handIns: [], measured: [], errors: [] }
  private readonly kept = new Map<Person, Map<string, string>>()
  private going = false

  private constructor(
    private readonly house: House,
    private readonly people: { readonly learners: readonly Person[]; readonly instructors: readonly Person[] },
    private readonly pictures: readonly Buffer[]
  ) {}

  static async open(house: House, size: { readonly learners: number; readonly instructors: number }): Promise<School> {
    // A class at a time comes in: more at once are asked to wait.
    const people = async (role: string, count: number): Promise<Person[]> => {
      const signedIn: Person[] = []
      while (signedIn.length < count)
        signedIn.push(
          ...(await Promise.all(
            Array.from({ length: Math.min(A_CLASS, count - signedIn.length) }, (_, i) =>
              house.signedIn(`${role}-${signedIn.length + i}`)
            )
          ))
        )
      return signedIn
    }
    return new School(
      house,
      {
        learners: await people('learner', size.learners),
        instructors: await people('instructor', size.instructors)
      },
      await photographs()
    )
  }

  /** @returns the answer; null where there is none. */
  private async timed(into: number[], what: string, ask: () => Promise<Response>): Promise<unknown> {
    const { errors } = this.heard,
      from = performance.now()
    try {
      const answer = await ask(),
        told: unknown = answer.headers.get('content-type')?.includes('json')
          ? await answer.json()
          : await answer.arrayBuffer()
      into.push(performance.now() - from)
      // A critique may be released while somebody marks it.
      if (!answer.ok && answer.status !== 304 && answer.status !== 409) {
        errors.push(`${what}: ${answer.status} ${JSON.stringify(told).slice(0, 120)}`)
        return null
      }
      return told
    } catch (error) {
      errors.push(`${what}: ${(error as Error).message}`)
      return null
    }
  }
  /** As a browser does it: what it keeps it asks for again by its mark. */
  private get(person: Person, path: string): Promise<unknown> {
    const kept = this.kept.get(person) ?? new Map<string, string>(),
      mark = kept.get(path)
    this.kept.set(person, kept)
    return this.timed(this.heard.reads, path, async () => {
      const answer = await person.fetch(path, mark ? { headers: { 'if-none-match': mark } } : {}),
        etag = answer.headers.get('etag')
      if (etag) kept.set(path, etag)
      return answer
    })
  }
  private pause(about: number): Promise<void> {
    return wait(about * (0.5 + this.random()))
  }

  /**
   * Goes through one's own work: the list, a thumbnail, the piece; its critique with the picture where there is one.
   */
  private async learn(person: Person): Promise<void> {
    await wait(LEARNER_MS * this.random())
    while (this.going) {
      const page = (await this.get(person, '/submissions')) as Page,
        piece = page?.items[0],
        own = `/submissions/${piece?.id}`,
        critique = piece?.state === 'released' ? [`${own}/critique`, `${own}/picture/display`] : []
      for (const path of piece ? [`${own}/picture/thumb`, own, ...critique] : ['/classes']) {
        await this.pause(LEARNER_MS)
        if (this.going) await this.get(person, path)
      }
      await this.pause(LEARNER_MS)
    }
  }

  /** The desk, a piece with its picture, a correction, a note; now and then a release. */
  private async teach(person: Person): Promise<void> {
    await wait(INSTRUCTOR_MS * this.random())
    for (let n = 0; this.going; n++) {
      await this.get(person, '/shelves')
      const page = (await this.get(person, '/submissions?shelf=review')) as Page,
        ready = page?.items.filter(p => p.measurement.state === 'done') ?? [],
        piece = ready[Math.floor(this.random() * ready.length)]?.id
      await this.pause(INSTRUCTOR_MS)
      if (!piece) continue
      for (const path of ['', '/critique', '/picture/display']) await this.get(person, `/submissions/${piece}${path}`)
      const correction = {
        station: 'values',
        area: null,
        readingId: null,
        reason: '',
        what: 'The quay merges',
        todo: 'Darken it',
        target: null
      }
      for (const [method, rest, body] of [
        ['POST', '/corrections', correction],
        ['PUT', '/notes', { visited: ['values'] }],
        ['POST', '/time', { seconds: 5 }],
        ...(n % 4 === 3 ? ([['POST', '/release', {}]] as const) : [])
      ] as const) {
        await this.pause(INSTRUCTOR_MS)
        if (this.going)
          await this.timed(this.heard.edits, rest, () => person.json(method, `/submissions/${piece}${rest}`, body))
      }
    }
  }

  /** Hands in, and looks until the piece is measured. */
  private async bring(turn: number): Promise<void> {
    const { learners } = this.people,
      learner = Math.floor(this.random() * learners.length),
      person = learners[learner]!,
      { measured, errors, handIns } = this.heard
    const told = (await this.timed(handIns, 'hand-in', () =>
      person.handIn(this.pictures[turn % this.pictures.length]!, {
        title: `Piece ${turn}`,
        classId: `${this.house.classOf(learner)}`
      })
    )) as { id?: number } | null
    if (!told?.id) return
    const from = performance.now()
    for (let i = 0; i < 120; i++, await wait(LOOK_MS)) {
      const [piece] = ((await this.get(person, `/submissions/some?ids=${told.id}`)) ?? []) as {
        measurement: { state: string }
      }[]
      if (piece?.measurement.state === 'done') return void measured.push(performance.now() - from)
    }
    errors.push(`piece ${told.id} was not measured in three minutes`)
  }

  /** At work for so long. */
  async work(minutes: number): Promise<Heard> {
    const { learners, instructors } = this.people,
      heard = (this.heard = { reads: [], edits: [], handIns: [], measured: [], errors: [] })
    this.going = true
    const everybody = [...learners.map(p => this.learn(p)), ...instructors.map(p => this.teach(p))],
      brought: Promise<void>[] = []
    for (let turn = 0; turn < minutes * HAND_INS_A_MINUTE; turn++) {
      brought.push(this.bring(turn))
      await wait(60_000 / HAND_INS_A_MINUTE)
      if (turn % HAND_INS_A_MINUTE === HAND_INS_A_MINUTE - 1)
        console.log(
          `minute ${(turn + 1) / HAND_INS_A_MINUTE}: ${heard.reads.length} reads, ${heard.edits.length} edits,`
            + ` ${heard.measured.length} measured, ${heard.errors.length} errors`
        )
    }
    await Promise.all(brought)
    this.going = false
    await Promise.all(everybody)
    return heard
  }
}
