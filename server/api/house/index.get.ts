import { route } from '../../http/route'
import { readHouse } from '../../services/house/house'

export default route('owner', () => readHouse())
