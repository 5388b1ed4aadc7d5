import { isMeasured } from '../../../measure/report'
import { placed, type StationReadings } from '../piece'
import { areaTemperatureReading } from './area'
import { balanceReading, darksReading, lightAndDarkReading } from './picture'
import { planesTemperatureReading } from './planes'

export const temperatureReadings: StationReadings = {
  ofPiece: ({ report: { temperature }, extras: { depth }, standards }) => [
    ...(isMeasured(temperature)
      ? placed('picture', [
          lightAndDarkReading(temperature, standards),
          balanceReading(temperature),
          darksReading(temperature)
        ])
      : []),
    ...placed('planes', [planesTemperatureReading(depth)])
  ],
  ofArea: (name, { temperature }) => [temperature && areaTemperatureReading(name, temperature)]
}
