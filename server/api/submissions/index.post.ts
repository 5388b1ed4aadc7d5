import { handInSchema } from '../../../shared/pieces/submission'
import { AppError } from '../../../shared/errors'
import { check } from '../../http/check'
import { PICTURE_FORM, PICTURE_FORM_MS, withForm } from '../../http/form'
import { route } from '../../http/route'
import { handIn } from '../../services/pieces/handing-in'

export default route(
  'learner',
  ({ event, account }) =>
    withForm(event, PICTURE_FORM, async ({ words, files }) => {
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
  { limitMs: PICTURE_FORM_MS }
)
