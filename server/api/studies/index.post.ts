import { AppError } from '../../../shared/errors'
import { studyWordsSchema } from '../../../shared/pieces/study'
import { check } from '../../http/check'
import { PICTURE_FORM, PICTURE_FORM_MS, withForm } from '../../http/form'
import { route } from '../../http/route'
import { keepStudy } from '../../services/pieces/studies'

/** A study, kept and read for its maker alone. */
export default route(
  'learner',
  ({ event, account }) =>
    withForm(event, PICTURE_FORM, ({ words, files }) => {
      const picture = files.get('picture')
      if (!picture) throw new AppError('invalid', 'The picture is missing.')
      return keepStudy(account, picture, check(studyWordsSchema, words).minutes)
    }),
  { limitMs: PICTURE_FORM_MS }
)
