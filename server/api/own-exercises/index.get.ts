import { route } from '../../http/route'
import { listOwn } from '../../services/exercises/own'

export default route('instructor', ({ account }) => listOwn(account))
