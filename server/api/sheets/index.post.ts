import { AppError } from '../../../shared/errors'
import { cornersSchema, SCAN_BYTES } from '../../../shared/exercises/worksheet'
import { check } from '../../http/check'
import { PICTURE_FORM, PICTURE_FORM_MS, withForm, type FormLimits } from '../../http/form'
import { route } from '../../http/route'
import { told } from '../../http/told'
import { takeSheets } from '../../services/exercises/sheets'

function parsed(text: string): unknown {
  try {
    return JSON.parse(text)
  } catch {
    throw new AppError('invalid', 'The corners cannot be read.')
  }
}

const SHEETS_FORM: FormLimits = {
  ...PICTURE_FORM,
  files: ['picture'],
  fileBytes: SCAN_BYTES,
  tooLong: 'The file is larger than 100 MB: send the pages in two parts.'
}

/**
 * A photograph or scan of one filled worksheet or several: each goes to whom it was printed for. How far the reading is
 * comes line by line where that is asked for.
 */
export default route(
  'account',
  ({ event, account }) =>
    withForm(event, SHEETS_FORM, ({ words, files }) => {
      const file = files.get('picture')
      if (!file) throw new AppError('invalid', 'The photograph is missing.')
      const corners = words.corners ? check(cornersSchema, parsed(words.corners)) : null
      return told(event, tell => takeSheets(account, { file, corners }, tell))
    }),
  { limitMs: PICTURE_FORM_MS }
)
