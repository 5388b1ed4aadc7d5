import { route } from '../../http/route'
import { knownPrinter } from '../../services/exercises/printers'

/** One's own printer as it is known; null when it is not. */
export default route('account', async ({ account }) => ({ printer: await knownPrinter(account) }))
