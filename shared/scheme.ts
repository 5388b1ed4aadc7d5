import { z } from 'zod'
import { SCHEME_NAMES, SCHEMES, type SchemeName, type SectorScheme } from '../core/wheel/schemes'
import { PAINTER_STEPS, PROCESS_STEPS, WHEEL_NAMES, type StepName } from '../core/wheel/steps'

export const wheelSchema = z.enum(WHEEL_NAMES as ['painter', 'process', 'perceptual'])
export const sectorSchemeSchema = z.enum(SCHEMES.map(s => s.name) as [SectorScheme, ...SectorScheme[]])
export const schemeNameSchema = z.enum(SCHEME_NAMES as [SchemeName, ...SchemeName[]])
export const stepSchema = z.enum([...new Set<StepName>([...PAINTER_STEPS, ...PROCESS_STEPS])] as [
  StepName,
  ...StepName[]
])
