import { AppError } from '../../../shared/errors'
import { PICTURE_FORM, PICTURE_FORM_MS, withForm } from '../../http/form'
import { route } from '../../http/route'
import { takeSwatches } from '../../services/workshop/sheet'

/** A photograph of the painted sheet: what the mixtures really gave. */
export default route(
  'account',
  ({ event, account }) =>
    withForm(event, { ...PICTURE_FORM, files: ['picture'] }, async ({ files }) => {
      const file = files.get('picture')
      if (!file) throw new AppError('invalid', 'The photograph is missing.')
      return { read: await takeSwatches(account, file) }
    }),
  { limitMs: PICTURE_FORM_MS }
)
