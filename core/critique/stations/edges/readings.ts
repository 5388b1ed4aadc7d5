import { isMeasured } from '../../../measure/report'
import { placed, type StationReadings } from '../piece'
import { cutOutReading, silhouetteReading } from './area'
import { fallOffReading, horizonReading, linesReading, symmetryReading } from './picture'

export const edgesReadings: StationReadings = {
  ofPiece: ({ report: { edges, composition }, known, standards }) => [
    ...placed('focus', [isMeasured(edges) ? fallOffReading(edges) : null], known.focus),
    ...placed('picture', [
      isMeasured(edges) ? linesReading(edges, standards) : null,
      ...(isMeasured(composition)
        ? [symmetryReading(composition, standards), horizonReading(composition, standards)]
        : [])
    ])
  ],
  ofArea: (name, { cutOut, silhouette }, standards) => [
    cutOut && cutOutReading(name, cutOut, standards),
    silhouette && silhouetteReading(name, silhouette)
  ]
}
