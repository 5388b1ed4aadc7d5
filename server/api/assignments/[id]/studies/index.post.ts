import { AppError } from '../../../../../shared/errors'
import { PICTURE_FORM, PICTURE_FORM_MS, withForm } from '../../../../http/form'
import { idParam, route } from '../../../../http/route'
import { checkPrivately } from '../../../../services/exercises/answering'

/** A work in progress, checked for its learner alone. */
export default route(
  'learner',
  ({ event, account }) =>
    withForm(event, PICTURE_FORM, ({ files }) => {
      const picture = files.get('picture')
      if (!picture) throw new AppError('invalid', 'The picture is missing.')
      return checkPrivately(account, idParam(event), { picture, reference: files.get('reference') ?? null })
    }),
  { limitMs: PICTURE_FORM_MS }
)
