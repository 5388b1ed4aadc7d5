import { handInSchema, PICTURE_LIMITS } from '../../../shared/submission'
import { AppError } from '../../../shared/errors'
import { check } from '../../http/check'
import { withForm } from '../../http/form'
import { route } from '../../http/route'
import { handIn } from '../../services/handing-in'

const FORM = {
  files: ['picture', 'reference'],
  fileBytes: PICTURE_LIMITS.bytes,
  fields: 20,
  fieldBytes: 4096,
  tooLong: 'The file is larger than 25 MB.'
} as const
/** A slow line, and a queue before the picture is looked at. */
const LIMIT_MS = 10 * 60_000

export default route(
  'learner',
  ({ event, account }) =>
    withForm(event, FORM, async ({ words, files }) => {
      const picture = files.get('picture')
      if (!picture) throw new AppError('invalid', 'The picture is missing.')
      return {
        id: await handIn(account, {
          words: check(handInSchema, words),
          files: { picture, reference: files.get('reference') ?? null },
          now: new Date()
        })
      }
    }),
  { limitMs: LIMIT_MS }
)
