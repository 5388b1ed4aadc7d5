import { z } from 'zod'
import { STATIONS, type Station } from '../core/critique/reading'

export const stationSchema = z.enum(STATIONS as [Station, ...Station[]])
