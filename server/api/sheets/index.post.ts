import { AppError } from '../../../shared/errors'
import { cornersSchema } from '../../../shared/worksheet'
import { check } from '../../http/check'
import { PICTURE_FORM, PICTURE_FORM_MS, withForm } from '../../http/form'
import { route } from '../../http/route'
import { takeSheets } from '../../services/exercises/worksheets'

function parsed(text: string): unknown {
  try {
    return JSON.parse(text)
  } catch {
    throw new AppError('invalid', 'The corners cannot be read.')
  }
}

/** A photograph of one filled worksheet or several: each goes to whom it was printed for. */
export default route(
  'account',
  ({ event, account }) =>
    withForm(event, PICTURE_FORM, ({ words, files }) => {
      const file = files.get('picture')
      if (!file) throw new AppError('invalid', 'The photograph is missing.')
      return takeSheets(account, { file, corners: words.corners ? check(cornersSchema, parsed(words.corners)) : null })
    }),
  { limitMs: PICTURE_FORM_MS }
)
