import { route } from '../../http/route'
import { phrasesOf } from '../../services/critique/phrases'

export default route('staff', async ({ account }) => phrasesOf(account))
