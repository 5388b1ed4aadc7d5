import { AppError } from '../../../../../shared/errors'
import { PICTURE_FORM, PICTURE_FORM_MS, withForm } from '../../../../http/form'
import { idParam, route } from '../../../../http/route'
import { ownAssignment } from '../../../../services/access'
import { checkPrivately } from '../../../../services/exercises/answering'

/** A work in progress, checked for its learner alone. */
export default route(
  'learner',
  async ({ event, account }) => {
    const id = idParam(event)
    // Known before a large file is sent.
    await ownAssignment(account, id)
    return withForm(event, PICTURE_FORM, ({ files }) => {
      const picture = files.get('picture')
      if (!picture) throw new AppError('invalid', 'The picture is missing.')
      return checkPrivately(account, id, { picture, reference: files.get('reference') ?? null })
    })
  },
  { limitMs: PICTURE_FORM_MS }
)
