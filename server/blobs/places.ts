/** Which place it is: what is kept now goes where the setting says; what was kept before is read where it lies. */
import type { PlaceName } from '../db/pieces/blobs'
import { settings } from '../settings'
import { bucketAt } from './bucket'
import { inDatabase } from './database'
import type { Place } from './place'

export const newPlace = (): PlaceName => (settings().CRITICA_BUCKET ? 'bucket' : 'database')

let bucket: Place | null = null
export function placeOf(name: PlaceName): Place {
  if (name === 'database') return inDatabase
  const address = settings().CRITICA_BUCKET
  if (!address) throw new Error('pictures lie in a bucket, and CRITICA_BUCKET does not say which')
  return (bucket ??= bucketAt(address))
}
