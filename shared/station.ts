import { z } from 'zod'
import { STATIONS } from '../core/critique/stations/table'
import type { Station } from '../core/critique/stations/station'

export const stationSchema = z.enum(STATIONS as [Station, ...Station[]])
