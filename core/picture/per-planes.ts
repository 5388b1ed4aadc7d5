/** What is worked out of planes once and asked for often, kept as long as the planes are. */
import type { Planes } from './planes'

/** @param make a plain function of the planes. @returns it, remembering its answers. */
export function perPlanes<T extends object>(make: (planes: Planes) => T): (planes: Planes) => T {
  const made = new WeakMap<Planes, T>()
  return planes => {
    const known = made.get(planes) ?? make(planes)
    made.set(planes, known)
    return known
  }
}
