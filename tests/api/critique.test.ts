/** The critique's own rules: stale words, release, and what a release closes. */
import { assignmentListSchema } from '../../shared/exercises/assignment'
import { beforeAll, describe, expect, it } from 'vitest'
import { Person, picture } from './client'

let tamsin: Person, joss: Person, id: number
const correction = {
  station: 'values',
  area: { kind: 'rectangle', x: 0.1, y: 0.1, w: 0.2, h: 0.2 },
  readingId: 'value.range',
  reason: 'The range is narrow.',
  what: 'Narrow',
  todo: 'Push the dark',
  target: { measure: 'range', atLeast: 70 }
}

beforeAll(async () => {
  tamsin = await Person.signedIn('tamsin')
  joss = await Person.signedIn('joss')
  id = (await (await joss.handIn(await picture(), { title: 'To be judged' })).json()).id
  await joss.measured(id)
})

describe('a critique', () => {
  it('is not released empty', async () => {
    expect((await tamsin.json('POST', `/submissions/${id}/release`)).status).toBe(422)
  })

  it('keeps corrections in their order, and follows a new order', async () => {
    const ids: number[] = []
    for (const what of ['first', 'second', 'third'])
      ids.push((await (await tamsin.json('POST', `/submissions/${id}/corrections`, { ...correction, what })).json()).id)
    await tamsin.json('PUT', `/submissions/${id}/corrections/order`, { order: [ids[2], ids[0], ids[1]] })
    await tamsin.json('DELETE', `/submissions/${id}/corrections/${ids[0]}`)
    const { corrections } = await (await tamsin.fetch(`/submissions/${id}/critique`)).json()
    expect(corrections).toMatchObject([
      { order: 1, what: 'third', area: correction.area, target: correction.target },
      { order: 2, what: 'second' }
    ])
  })

  it('refuses a correction that says nothing or aims at nothing known', async () => {
    expect((await tamsin.json('POST', `/submissions/${id}/corrections`, { ...correction, what: '' })).status).toBe(422)
    expect(
      (
        await tamsin.json('POST', `/submissions/${id}/corrections`, {
          ...correction,
          target: { measure: 'charm', atLeast: 3 }
        })
      ).status
    ).toBe(422)
    expect(
      (
        await tamsin.fetch(`/submissions/${id}/corrections`, {
          method: 'POST',
          body: '{broken',
          headers: { 'content-type': 'application/json' }
        })
      ).status
    ).toBe(422)
  })

  it('refuses words written over an older revision', async () => {
    const write = (works: string, revision: number) =>
      tamsin.json('PUT', `/submissions/${id}/verdict`, { works, verdict: '', revision })
    expect(await (await write('The light', 0)).json()).toEqual({ revision: 1 })
    const stale = await write('Something older', 0)
    expect([stale.status, (await stale.json()).error.code]).toEqual([409, 'stale'])
    expect(await (await tamsin.fetch(`/submissions/${id}/critique`)).json()).toMatchObject({ works: 'The light' })
  })

  it('takes an exercise back while it is a draft', async () => {
    const assigned = async () => (await (await tamsin.fetch(`/submissions/${id}/critique`)).json()).assignment
    await tamsin.json('PUT', `/submissions/${id}/assignment`, { exercise: 'opposites', dueOn: '2027-01-15' })
    expect(await assigned()).toMatchObject({ exercise: 'opposites', dueOn: '2027-01-15' })
    await tamsin.json('DELETE', `/submissions/${id}/assignment`)
    expect(await assigned()).toBeNull()
  })

  it('closes with its release, and its learner may read it then', async () => {
    expect((await joss.fetch(`/submissions/${id}/critique`)).status).toBe(404)
    await tamsin.json('PUT', `/submissions/${id}/assignment`, { exercise: 'opposites', dueOn: '2027-02-01' })
    const own = assignmentListSchema.parse(await (await joss.fetch('/assignments')).json())
    expect(own.filter(a => a.from?.submissionId === id)).toEqual([])
    expect((await tamsin.json('POST', `/submissions/${id}/release`)).status).toBe(200)
    expect(await (await joss.fetch(`/submissions/${id}/critique`)).json()).toMatchObject({
      state: 'released',
      works: 'The light',
      assignment: { exercise: 'opposites', dueOn: '2027-02-01' }
    })
    for (const late of [
      tamsin.json('POST', `/submissions/${id}/corrections`, correction),
      tamsin.json('POST', `/submissions/${id}/release`),
      tamsin.json('DELETE', `/submissions/${id}/assignment`),
      tamsin.json('PUT', `/submissions/${id}/verdict`, { works: '', verdict: '', revision: 1 })
    ]) {
      expect((await late).status).toBe(409)
    }
  })

  it('lets the exercise be confirmed only after a hand-in, and takes none after that', async () => {
    const assignment = assignmentListSchema
      .parse(await (await joss.fetch('/assignments')).json())
      .find(a => a.from?.submissionId === id)!
    expect((await tamsin.json('POST', `/assignments/${assignment.id}/confirm`)).status).toBe(422)
    const handedIn = await (await joss.handIn(await picture(), { assignmentId: String(assignment.id) })).json()
    await joss.measured(handedIn.id)
    const { handIn } = await (await joss.fetch(`/assignments/${assignment.id}`)).json()
    // A sixteenth of orange in blue: one flat value each, so the pair holds and the range does not.
    expect(handIn.checks).toMatchObject([
      { id: 'coverage', passed: true },
      { id: 'accent', passed: true },
      { id: 'range', passed: false }
    ])
    expect((await tamsin.json('POST', `/assignments/${assignment.id}/confirm`)).status).toBe(200)
    expect((await joss.handIn(await picture(), { assignmentId: String(assignment.id) })).status).toBe(409)
  })
})
