import { isMeasured } from '../../../measure/report'
import { placed, type ReadPiece, type StationReadings } from '../piece'
import { areaTemperatureReading } from './area'
import { balanceReading, darksReading, lightAndDarkReading, materialsReading } from './picture'
import { planesTemperatureReading } from './planes'

/** What marked materials say of the light goes before what the picture as a whole does. */
function ofLight({ report: { temperature, light }, standards }: ReadPiece) {
  const materials = placed('pairs', [materialsReading(light && isMeasured(light) ? light : null, standards)])
  if (materials.length > 0 || !isMeasured(temperature)) return materials
  return placed('picture', [lightAndDarkReading(temperature, standards)])
}

export const temperatureReadings: StationReadings = {
  ofPiece: piece => {
    const { temperature, value } = piece.report
    return [
      ...ofLight(piece),
      ...(isMeasured(temperature)
        ? placed('picture', [balanceReading(temperature), darksReading(temperature, isMeasured(value) ? value : null)])
        : []),
      ...placed('planes', [planesTemperatureReading(piece.extras.depth)])
    ]
  },
  ofArea: (name, { temperature }) => [temperature && areaTemperatureReading(name, temperature)]
}
