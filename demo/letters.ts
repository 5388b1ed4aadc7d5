/** Two mails that the class's instructor finds waiting: one with two pictures and a list, one with one. */
import MailComposer from 'nodemailer/lib/mail-composer/index.js'
import type { DemoPiece } from './manifest'
import { LEARNERS } from './people'
import { renderPiece } from './render'
import { moorings } from './scenes/moorings'

interface DemoLetter {
  readonly learner: string
  readonly subject: string
  readonly text: string
  readonly pictures: readonly { readonly name: string; readonly piece: DemoPiece }[]
  /** What is no picture. */
  readonly more?: { readonly filename: string; readonly content: string }
}

const afloat = (key: string, hue: number, sails: number): DemoPiece => ({
  key,
  scene: () => moorings(hue, sails),
  learner: '',
  daysAgo: 0,
  words: { title: '', stage: 'finished', medium: '', question: '', about: '', plannedScheme: null },
  faults: []
})

export const LETTERS: readonly DemoLetter[] = [
  {
    learner: 'rosa',
    subject: 'Low water',
    text: 'Two goes at the same evening. Which of them should I go on with, and is the sail too loud?\n\nRosa',
    pictures: [
      { name: 'evening-1.png', piece: afloat('letter-rosa-1', 24, 2.2) },
      { name: 'evening-2.png', piece: afloat('letter-rosa-2', 285, 5) }
    ],
    more: { filename: 'paints I used.pdf', content: '%PDF-1.4' }
  },
  {
    learner: 'joss',
    subject: 'Morning at the ramp',
    text: 'Is there enough dark in it?',
    pictures: [{ name: 'ramp.png', piece: afloat('letter-joss', 215, 1.4) }]
  }
]

/** As it would come: RFC 5322. */
export async function writtenLetter({ learner, subject, text, pictures, more }: DemoLetter): Promise<Buffer> {
  const { name, email } = LEARNERS.find(l => l.key === learner)!
  const attachments = await Promise.all(
    pictures.map(async p => ({ filename: p.name, content: await renderPiece(p.piece) }))
  )
  return new MailComposer({
    from: { name, address: email },
    to: 'critica@localhost',
    subject,
    text,
    attachments: more ? [...attachments, more] : attachments
  })
    .compile()
    .build()
}
