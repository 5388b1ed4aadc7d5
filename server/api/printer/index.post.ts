import { AppError } from '../../../shared/errors'
import { PICTURE_FORM, PICTURE_FORM_MS, withForm } from '../../http/form'
import { route } from '../../http/route'
import { learnPrinter } from '../../services/exercises/printers'

/** A photograph of the two printed pages: what one's own greys are. */
export default route(
  'account',
  ({ event, account }) =>
    withForm(event, { ...PICTURE_FORM, files: ['picture'] }, async ({ files }) => {
      const file = files.get('picture')
      if (!file) throw new AppError('invalid', 'The photograph is missing.')
      return { printer: await learnPrinter(account, file) }
    }),
  { limitMs: PICTURE_FORM_MS }
)
