import { stat } from 'node:fs/promises'
import { AppError } from '../../../shared/errors'
import { LETTER_LIMITS } from '../../../shared/letter'
import { withForm } from '../../http/form'
import { route } from '../../http/route'
import { receive } from '../../services/inbox/receiving'

const LETTER_FORM = {
  files: ['letter'],
  fileBytes: LETTER_LIMITS.bytes,
  fields: 0,
  fieldBytes: 0,
  tooLong: `The mail is larger than ${LETTER_LIMITS.bytes / 1024 / 1024} MB.`
}

/** A saved mail, brought in by hand: it is read as one that came by itself. */
export default route(
  'instructor',
  ({ event }) =>
    withForm(event, LETTER_FORM, async ({ files }) => {
      const file = files.get('letter')
      if (!file) throw new AppError('invalid', 'Choose a saved mail first.')
      return receive({ file, bytes: (await stat(file)).size, byHand: true })
    }),
  { limitMs: 120_000 }
)
