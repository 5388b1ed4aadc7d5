import { route } from '../../http/route'
import { looseStudies } from '../../services/pieces/studies'

/** One's own that led to no piece yet. */
export default route('learner', ({ account }) => looseStudies(account))
