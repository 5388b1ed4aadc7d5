/** Nothing is lost: two windows on one critique, a server that dies in the middle, annotations that cannot be read. */
import { afterEach, beforeAll, describe, expect, it } from 'vitest'
import type { ChildProcess } from 'node:child_process'
import { once } from 'node:events'
import { critiqueSchema, type Critique } from '../../shared/critique'
import { phraseListSchema, type Phrase } from '../../shared/phrase'
import { anotherServer, Person, picture } from './client'

let tamsin: Person,
  id = 0
const written = {
  station: 'values',
  area: null,
  mark: null,
  readingId: null,
  reason: '',
  what: 'Flat in the middle',
  todo: 'Darken the quay',
  target: null,
  trial: null
}
const read = async (person = tamsin): Promise<Critique> =>
  critiqueSchema.parse(await (await person.fetch(`/submissions/${id}/critique`)).json())

beforeAll(async () => {
  tamsin = await Person.signedIn('tamsin')
  id = (
    (await (await (await Person.signedIn('rosa')).handIn(await picture(), { title: 'Two windows' })).json()) as {
      id: number
    }
  ).id
})

describe('two windows on one critique', () => {
  it('a correction, area, note and score over something older are refused, and what is there stays', async () => {
    await tamsin.json('POST', `/submissions/${id}/corrections`, written)
    await tamsin.json('POST', `/submissions/${id}/areas`, {
      name: 'quay',
      area: { kind: 'rectangle', x: 0, y: 0, w: 0.5, h: 0.5 }
    })
    const {
      corrections: [correction],
      areas: [area]
    } = await read()
    const sky = { ...area!, name: 'sky' },
      changed = { ...correction!, what: 'Flat in the lights' }
    const quality = [{ key: 'a', title: 'A', station: null }],
      five = { qualities: quality, scores: { a: 5 } },
      six = { qualities: quality, scores: { a: 6 } }
    const writes = [
      [
        `/corrections/${correction!.id}`,
        { ...changed, over: correction },
        { ...correction!, what: 'Flat in the darks', over: correction }
      ],
      [`/areas/${area!.id}`, { ...sky, over: area }, { ...area!, name: 'water', over: area }],
      ['/notes', { about: 'the quay', over: { about: '' } }, { about: 'the boats', over: { about: '' } }],
      ['/score', { score: five, over: null }, { score: six, over: null }]
    ] as const
    for (const [path, first, second] of writes) {
      expect((await tamsin.json('PUT', `/submissions/${id}${path}`, first)).status, path).toBe(200)
      const late = await tamsin.json('PUT', `/submissions/${id}${path}`, second)
      expect([late.status, (await late.json()).error.code], path).toEqual([409, 'stale'])
    }
    expect(await read()).toMatchObject({
      corrections: [{ what: 'Flat in the lights' }],
      areas: [{ name: 'sky' }],
      notes: { about: 'the quay' },
      score: five
    })
    // Written over what is there now, it is taken.
    expect(
      (
        await tamsin.json('PUT', `/submissions/${id}/corrections/${correction!.id}`, {
          ...changed,
          what: 'Flat in the darks',
          over: changed
        })
      ).status
    ).toBe(200)
  })

  it('stations visited in both are both visited, and corrections are not reordered over a new one', async () => {
    await Promise.all(
      ['values', 'focus', 'edges'].map(station =>
        tamsin.json('PUT', `/submissions/${id}/notes`, { visited: [station] })
      )
    )
    expect((await read()).notes.visited.sort()).toEqual(['edges', 'focus', 'values'])
    const before = (await read()).corrections.map(c => c.id)
    await tamsin.json('POST', `/submissions/${id}/corrections`, { ...written, what: 'Came meanwhile' })
    expect((await tamsin.json('PUT', `/submissions/${id}/corrections/order`, { order: before })).status).toBe(409)
  })
})

describe('a server killed in mid-save', () => {
  let second: ChildProcess | null = null
  afterEach(() => {
    if (second?.exitCode === null && second.signalCode === null) process.kill(-second.pid!, 'SIGKILL')
  })

  it('leaves every correction whole or not at all, and the words as one of the versions that were sent', async () => {
    const { server, origin } = await anotherServer(),
      there = await Person.signedIn('tamsin', { origin })
    second = server
    const send = (method: string, path: string, body: unknown): Promise<number> =>
      there.json(method, `/submissions/${id}${path}`, body).then(
        r => r.status,
        () => 0
      )
    const { revision, corrections } = await read(),
      known = corrections.length
    const long = (letter: string): string => letter.repeat(1900)
    const sent = [
      ...Array.from({ length: 24 }, (_, i) =>
        send('POST', '/corrections', { ...written, what: `Killed ${i}`, todo: long('k') })
      ),
      ...['a', 'b', 'c'].map(letter =>
        send('PUT', '/verdict', { works: long(letter), verdict: long(letter), revision })
      )
    ]
    await new Promise(resolve => setTimeout(resolve, 25))
    process.kill(-second.pid!, 'SIGKILL')
    await once(second, 'exit')
    const answers = await Promise.all(sent),
      after = await read()
    const kept = after.corrections.slice(known)
    for (const c of kept)
      expect(c).toMatchObject({ ...written, what: expect.stringMatching(/^Killed \d+$/) as string, todo: long('k') })
    // What was answered is kept; what was not may be.
    expect(kept.length).toBeGreaterThanOrEqual(answers.slice(0, 24).filter(status => status === 200).length)
    expect(answers.filter(status => status === 0).length).toBeGreaterThan(0)
    expect(after.works).toBe(after.verdict)
    expect(after.works === '' || after.works === long(after.works[0]!)).toBe(true)
  })
})

describe('the phrase shelf', () => {
  const shelf = async (person = tamsin): Promise<Phrase[]> =>
    phraseListSchema.parse(await (await person.fetch('/phrases')).json())

  it("is learnt from use, the most used first, and is its instructor's to reword and to clear", async () => {
    for (let i = 0; i < 3; i++)
      await tamsin.json('POST', `/submissions/${id}/corrections`, {
        ...written,
        what: 'The hull sinks into the water',
        todo: ''
      })
    const [first] = (await shelf()).filter(p => p.words.startsWith('The hull'))
    expect(first).toMatchObject({ field: 'what', station: 'values', uses: 3 })
    expect((await shelf())[0]!.uses).toBeGreaterThanOrEqual(3)
    expect((await tamsin.json('PUT', `/phrases/${first!.id}`, { words: 'The hull merges' })).status).toBe(200)
    expect((await tamsin.json('PUT', `/phrases/${first!.id}`, { words: ' ' })).status).toBe(422)
    expect((await shelf()).map(p => p.words)).toContain('The hull merges')
    expect((await tamsin.json('DELETE', `/phrases/${first!.id}`)).status).toBe(200)
    expect((await tamsin.json('DELETE', `/phrases/${first!.id}`)).status).toBe(404)
  })
})

describe('annotations', () => {
  it('read back renew their own corrections, add others, keep what is unknown; a bad file does nothing', async () => {
    const before = (await read()).corrections
    const page = (await (await tamsin.fetch(`/submissions/${id}/export/annotations.json`)).json()) as {
      items: { id: string; body: { value: string; purpose: string }[] }[]
    }
    page.items[0]!.body.find(b => b.purpose === 'assessing')!.value = 'Renewed elsewhere'
    const added = {
      id: 'http://example.org/a',
      type: 'Annotation',
      rights: 'http://example.org/licence',
      body: { type: 'TextualBody', value: 'From another program' },
      target: { source: 'x', selector: { type: 'FragmentSelector', value: 'xywh=percent:10,10,20,20' } }
    }
    const bad = await tamsin.json('POST', `/submissions/${id}/annotations`, {
      items: [...page.items, { type: 'Annotation', target: 'x' }]
    })
    expect([bad.status, (await bad.json()).error.message]).toEqual([
      422,
      `Annotation ${page.items.length + 1} says nothing that could be marked: Say what is wrong. Nothing was read in.`
    ])
    expect((await read()).corrections).toEqual(before)
    expect(
      await (await tamsin.json('POST', `/submissions/${id}/annotations`, { items: [...page.items, added] })).json()
    ).toEqual({ added: 1, renewed: before.length })
    const after = (await read()).corrections
    expect(after[0]).toEqual({ ...before[0], what: 'Renewed elsewhere' })
    expect(after.at(-1)).toMatchObject({
      what: 'From another program',
      area: { kind: 'rectangle', x: 0.1, y: 0.1, w: 0.2, h: 0.2 }
    })
    const again = (await (await tamsin.fetch(`/submissions/${id}/export/annotations.json`)).json()) as {
      items: Record<string, unknown>[]
    }
    expect(again.items.at(-1)).toMatchObject({ rights: 'http://example.org/licence' })
  })
})
