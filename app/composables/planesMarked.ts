/** Areas named as planes: the names that the area field offers, as the depth ladder knows them. */
import type { MarkedArea } from '~~/shared/critique'
import type { DepthName } from '~~/core/measure/depth'
import type { Area } from '~~/core/picture/area'

const PLANE: Readonly<Record<string, DepthName>> = { 'foreground': 'near', 'middle ground': 'middle', 'background': 'far' }

export function planesMarked(areas: readonly MarkedArea[]): Partial<Record<DepthName, Area>> {
  return Object.fromEntries(areas.flatMap(a => (PLANE[a.name.toLowerCase()] ? [[PLANE[a.name.toLowerCase()], a.area]] : [])))
}
