/** RFC 3834 (automatic responses) and RFC 8601 (authentication results), their rules and examples; the rest as said. */
import { describe, expect, it } from 'vitest'
import { automatic, proofOf } from './guard'
import { questionOf, titleOf, writtenOf } from './words'

const from = ['ada@harbour.example'],
  own = 'critica@school.example'

describe('a mail is not answered', () => {
  it.each([
    ['RFC 3834, 5: its own field', { 'auto-submitted': ['auto-replied'] }],
    ['RFC 3834, 5: with parameters', { 'auto-submitted': ['auto-generated; owner-email="x@y.example"'] }],
    ['RFC 3834, 2: an empty return path', { 'return-path': ['<>'] }],
    ['RFC 3834, 2: a list', { 'list-id': ['<painters.lists.example>'] }],
    ['RFC 3834, 2: precedence', { precedence: ['Bulk'] }],
    ['RFC 3464: a report', { 'content-type': ['multipart/report; report-type=delivery-status; boundary=x'] }]
  ])('%s', (_, headers) => {
    expect(automatic({ from, headers }, own)).not.toBeNull()
  })
  it.each(['MAILER-DAEMON@x.example', 'no-reply@x.example', 'noreply+7@x.example', 'postmaster@x.example', own])(
    'from %s',
    address => expect(automatic({ from: [address], headers: {} }, own)).not.toBeNull()
  )
  it('and one by a person is', () => {
    const people: readonly Record<string, string[]>[] = [
      {},
      { 'auto-submitted': ['no'] },
      { precedence: ['first-class'] }
    ]
    for (const headers of people) expect(automatic({ from, headers }, own)).toBeNull()
    for (const address of ['norepson@x.example', 'autumn@x.example', 'listers@x.example'])
      expect(automatic({ from: [address], headers: {} }, own)).toBeNull()
  })
})

describe('who sent it is proven by the mailbox’s own server alone', () => {
  const proof = (...results: string[]) =>
    proofOf({ from: ['ada@example.com'], headers: { 'authentication-results': results } }, 'example.net')
  it.each([
    // RFC 8601, appendix B.3 and B.4, with the addresses of this test.
    ['example.net; spf=pass smtp.mailfrom=example.com', 'proven'],
    ['example.net; auth=pass (cram-md5) smtp.auth=sender@example.net; spf=fail smtp.mailfrom=example.com', 'unknown'],
    ['example.net; dkim=pass (good signature) header.d=example.com', 'proven'],
    ['example.net; dkim=pass header.d=newyork.example.com', 'proven'],
    ['example.net; dkim=pass header.d=evil-example.com', 'unknown'],
    ['example.net; spf=pass smtp.mailfrom=attacker.example', 'unknown'],
    ['example.net; dmarc=fail (p=none) header.from=example.com; spf=pass smtp.mailfrom=attacker.example', 'forged'],
    ['example.net 1; dmarc=pass header.from=example.com', 'proven'],
    // Somebody else's field, and a name that only begins alike.
    ['attacker.example; dmarc=pass header.from=example.com', 'unknown'],
    ['example.net.attacker.example; dmarc=pass header.from=example.com', 'unknown'],
    // What is said in a comment is not said.
    ['example.net; none (dmarc=pass)', 'unknown']
  ] as const)('%s', (field, found) => expect(proof(field)).toBe(found))
  it('and its topmost field counts: one that was in the mail before lies below', () => {
    expect(proof('example.net; dmarc=fail', 'example.net; dmarc=pass')).toBe('forged')
    expect(proofOf({ from: ['a@b.c'], headers: { 'authentication-results': ['x; dmarc=pass'] } }, undefined)).toBe(
      'unknown'
    )
  })
})

it('takes the subject as the title, without what mail programs put before it', () => {
  expect(titleOf('Re: AW: Fwd: Boat at dusk')).toBe('Boat at dusk')
  expect(titleOf('Regatta: second try')).toBe('Regatta: second try')
})

it('takes as the question what was written: no quote, no signature (RFC 3676, 4.3), whole sentences', () => {
  const mail =
    'Is the boat lost?\r\n\r\n\r\n\r\nThanks\n-- \nAda Quill\nSt. 7'.replace(/\r/g, '')
    + '\nOn 3 Nov 2026, at 10:00, Tamsin wrote:\n> hello'
  expect(writtenOf(mail)).toBe('Is the boat lost?\n\nThanks')
  expect(writtenOf('Yes.\nAm 3.11.26 um 10:00 schrieb Tamsin <t@x.example>:\n> alt')).toBe('Yes.')
  expect(writtenOf('The dashes -- like these -- stay.\n--- and so\n')).toBe(
    'The dashes -- like these -- stay.\n--- and so'
  )
  expect(writtenOf('On Monday you wrote:\n> Is it lost?\nNo, it is found.\n> And?\nThat is all.')).toBe(
    'No, it is found.\nThat is all.'
  )
  expect(writtenOf('Is it lost?\n\n– Ada Q.', 'Ada Quill')).toBe('Is it lost?\n\n– Ada Q.')
  expect(writtenOf('Is it lost?\n\n– Ada', 'Ada Quill')).toBe('Is it lost?')
  expect(writtenOf('Ada', 'Ada Quill')).toBe('Ada')
  const long = `${'The sky is too loud, I think. '.repeat(30)}`
  expect(questionOf(long).length).toBeLessThanOrEqual(500)
  expect(questionOf(long)).toMatch(/I think\.$/)
  expect(questionOf('word '.repeat(300))).toMatch(/^word .* …$/)
})
