import { route } from '../../http/route'
import { phrasesOf } from '../../services/phrases'

export default route('instructor', async ({ account }) => phrasesOf(account))
