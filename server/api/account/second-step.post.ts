import { route } from '../../http/route'
import { beginStep } from '../../services/second-step'

/** A secret to be read into a device. Nothing changes until its code is given. */
export default route('instructor', ({ account }) => beginStep(account))
