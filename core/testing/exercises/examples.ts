/** For every exercise a picture that passes all of it, and for each of its checks one that fails that check alone. */
import type { ExerciseKey } from '../../exercise/shelf'
import type { Example } from './check'
import {
  painted,
  anchor,
  grey,
  mixed,
  ENDS,
  tints,
  greyedSteps,
  darks,
  fields,
  wheels,
  panels,
  EVEN,
  LED,
  LED_TOO,
  lit,
  crop,
  REFERENCE,
  masses,
  ladders
} from './fields'

export const EXAMPLES: Readonly<Record<ExerciseKey, Example>> = {
  'two-values': {
    passes: masses([
      [20, 60],
      [80, 40]
    ]),
    fails: {
      masses: masses([
        [10, 30],
        [28, 30],
        [75, 20],
        [92, 20]
      ]),
      apart: masses([
        [40, 60],
        [62, 40]
      ]),
      large: masses([
        [20, 95],
        [80, 5]
      ])
    }
  },
  'three-values': {
    passes: masses([
      [15, 30],
      [50, 40],
      [85, 30]
    ]),
    fails: {
      masses: masses([
        [10, 20],
        [26, 20],
        [55, 20],
        [70, 10],
        [94, 30]
      ]),
      apart: masses([
        [40, 30],
        [54, 40],
        [85, 30]
      ]),
      large: masses([
        [15, 45],
        [50, 50],
        [85, 5]
      ])
    }
  },
  'ladder-5': ladders(5),
  'ladder-7': ladders(7),
  'ladder-9': ladders(9),
  'one-colour': {
    passes: painted(...tints(8, [0.15, 0.3, 0.42, 0.54, 0.66, 0.78, 0.92])),
    fails: {
      coverage: painted(...tints(8, [0.15, 0.3, 0.42, 0.54]), ...tints(2, [0.66, 0.78, 0.92])),
      values: painted(...tints(8, [0.15, 0.16, 0.92, 0.93])),
      range: painted(...tints(8, [0.41, 0.5, 0.59, 0.68, 0.77], 20))
    }
  },
  muted: {
    passes: painted(...greyedSteps([0.9, 0.75, 0.6, 0.45, 0.3, 0.15]), ...ENDS),
    fails: {
      coverage: painted(
        ...greyedSteps([0.9, 0.75, 0.6, 0.45, 0.3, 0.15]),
        mixed(5, { light: 0.5, strong: 0.6 }, 50),
        ...ENDS
      ),
      greyed: painted(...greyedSteps([0.5, 0.5]), ...ENDS),
      muted: painted(...greyedSteps([0.9, 0.75, 0.6, 0.45, 0.3, 0.15]), anchor(2, 20), ...ENDS),
      range: painted(...greyedSteps([0.9, 0.75, 0.6, 0.45, 0.3, 0.15]))
    }
  },
  'no-black': {
    passes: painted(...darks(20, 20), anchor(2, 40), grey(92, 20)),
    fails: {
      black: painted(...darks(12, 12), grey(3, 8), anchor(2, 40), grey(92, 20)),
      dark: painted(
        mixed(4, { light: 0.42, strong: 0.3 }, 20),
        mixed(9, { light: 0.42, strong: 0.4 }, 20),
        grey(92, 60)
      ),
      both: painted(...darks(40, 1), anchor(2, 40), grey(92, 20)),
      range: painted(...darks(20, 20), mixed(2, { light: 0.5, strong: 0.3 }, 60))
    }
  },
  'limited-palette': {
    passes: painted(anchor(2, 40), anchor(7, 30), ...ENDS),
    fails: {
      steps: painted(...[0, 2, 4, 6, 8, 10].map(step => anchor(step, 16)), ...ENDS),
      range: painted(anchor(2, 40), mixed(8, { light: 0.62, strong: 0.8 }, 30))
    }
  },
  neighbours: {
    passes: painted(anchor(7, 30), anchor(8, 30), anchor(9, 30), ...ENDS),
    fails: {
      coverage: painted(anchor(6, 30), anchor(8, 30), anchor(10, 30), anchor(1, 30), ...ENDS),
      steps: painted(anchor(8, 60), ...ENDS),
      range: painted(...[7, 8, 9].map(step => mixed(step, { light: 0.55, strong: 0.8 }, 30)))
    }
  },
  opposites: {
    passes: painted(anchor(8, 60), anchor(2, 8), ...ENDS),
    fails: {
      coverage: painted(anchor(8, 50), anchor(2, 8), anchor(5, 8), anchor(11, 8), ...ENDS),
      accent: painted(anchor(8, 60), ...ENDS),
      range: painted(mixed(8, { light: 0.5, strong: 0.8 }, 60), mixed(2, { light: 0.55, strong: 0.5 }, 10))
    }
  },
  'one-step-off': {
    passes: painted(anchor(8, 60), anchor(1, 6), ...ENDS),
    fails: {
      coverage: painted(anchor(8, 60), anchor(1, 6), anchor(5, 8), anchor(11, 6), ...ENDS),
      accent: painted(anchor(8, 40), anchor(1, 30), ...ENDS),
      turn: painted(anchor(8, 60), anchor(2, 6), ...ENDS),
      range: painted(mixed(8, { light: 0.5, strong: 0.8 }, 60), mixed(1, { light: 0.55, strong: 0.5 }, 10))
    }
  },
  'split-opposites': {
    passes: painted(anchor(8, 60), anchor(1, 10), anchor(3, 10), ...ENDS),
    fails: {
      coverage: painted(anchor(8, 70), anchor(1, 8), anchor(3, 8), anchor(5, 10), anchor(11, 10), ...ENDS),
      each: painted(anchor(8, 60), anchor(1, 12), ...ENDS),
      leads: painted(anchor(8, 30), anchor(1, 20), anchor(3, 20), ...ENDS),
      range: painted(
        ...([8, 1, 3] as const).map(step =>
          mixed(step, { light: 0.55, strong: step === 8 ? 1 : 0.25 }, step === 8 ? 60 : 20)
        )
      )
    }
  },
  triad: {
    passes: painted(anchor(0, 50), anchor(4, 14), anchor(8, 14), ...ENDS),
    fails: {
      coverage: painted(anchor(0, 60), anchor(4, 10), anchor(8, 12), anchor(2, 30), ...ENDS),
      each: painted(anchor(0, 50), anchor(4, 14), ...ENDS),
      leads: painted(anchor(0, 30), anchor(4, 24), anchor(8, 40), ...ENDS),
      range: painted(
        ...([0, 4, 8] as const).map(step => mixed(step, { light: 0.6, strong: 0.7 }, step === 0 ? 60 : 12))
      )
    }
  },
  'wheel-6': wheels(6),
  'wheel-12': wheels(12),
  proportion: {
    passes: panels([EVEN, LED, LED_TOO]),
    fails: {
      same: painted(
        ...([0, 4, 8] as const).map(s => anchor(s, 33)),
        anchor(0, 60),
        anchor(2, 32),
        anchor(8, 8),
        anchor(0, 10),
        anchor(4, 30),
        anchor(8, 60)
      ),
      equal: panels([[0.5, 0.35, 0.15], LED, LED_TOO]),
      leader: panels([EVEN, [0.45, 0.43, 0.12], LED_TOO]),
      small: panels([EVEN, [0.55, 0.23, 0.22], LED_TOO])
    }
  },
  'shadow-colour': {
    passes: lit(() => ({ light: 0.5, turn: [0, -0.03] })),
    fails: {
      darker: lit(i => ({ light: i === 0 ? 0.72 : 0.5, turn: [0, -0.03] })),
      coloured: lit(() => ({ light: 0.5, turn: [0, 0] })),
      'one-light': lit(i => ({ light: 0.5, turn: i % 2 ? [0, 0.03] : [0, -0.03] }))
    }
  },
  'from-reference': {
    passes: painted(grey(18, 40), grey(54, 60), grey(80, 50)),
    beside: { reference: REFERENCE },
    fails: {
      structure: painted(grey(50, 50), grey(50, 50), grey(52, 50)),
      held: painted(grey(35, 40), grey(66, 60), grey(97, 50))
    },
    failsBeside: { structure: { reference: painted(grey(50, 50), grey(55, 50), grey(50, 50)) } }
  },
  'one-hue': {
    passes: painted(...[0.3, 0.58, 0.86].map((light, i) => mixed(8, { light, strong: 0.4 }, [40, 60, 50][i]))),
    beside: { reference: REFERENCE },
    fails: {
      coverage: painted(
        mixed(8, { light: 0.3, strong: 0.4 }, 40),
        mixed(2, { light: 0.58, strong: 0.4 }, 60),
        mixed(8, { light: 0.86, strong: 0.4 }, 50)
      ),
      structure: painted(...[0.54, 0.56, 0.54].map(light => mixed(8, { light, strong: 0.4 }, 50))),
      held: painted(...[0.46, 0.74, 0.92].map((light, i) => mixed(8, { light, strong: 0.4 }, [40, 60, 50][i])))
    },
    failsBeside: { structure: { reference: painted(grey(50, 50), grey(45, 50), grey(50, 50)) } }
  },
  framing: {
    passes: fields([
      [...crop(15, 85, 10), ...crop(10, 90, 40)],
      [...crop(90, 20, 15), ...crop(80, 15, 35)]
    ]),
    fails: {
      read: fields([
        [...crop(15, 85, 10), ...crop(45, 70, 40)],
        [...crop(90, 20, 15), ...crop(80, 15, 35)]
      ]),
      different: fields([
        [...crop(15, 85, 10), ...crop(15, 85, 12)],
        [...crop(90, 20, 15), ...crop(80, 15, 35)]
      ])
    }
  },
  'studies-first': {
    passes: painted(grey(15, 30), grey(50, 30), grey(85, 30)),
    beside: { studies: 1 },
    fails: {
      studies: painted(grey(15, 30), grey(50, 30), grey(85, 30)),
      range: painted(grey(40, 30), grey(60, 30))
    },
    failsBeside: { studies: { studies: 0 } }
  },
  'two-pairs': {
    passes: painted(anchor(0, 50), anchor(2, 12), anchor(6, 16), anchor(8, 12), ...ENDS),
    fails: {
      coverage: painted(
        anchor(0, 60),
        anchor(2, 24),
        anchor(6, 30),
        anchor(8, 40),
        anchor(4, 18),
        anchor(10, 28),
        ...ENDS
      ),
      each: painted(anchor(0, 50), anchor(2, 12), anchor(6, 16), ...ENDS),
      leads: painted(anchor(0, 20), anchor(2, 20), anchor(6, 32), anchor(8, 26), ...ENDS),
      range: painted(
        ...([0, 2, 6, 8] as const).map(step => mixed(step, { light: 0.6, strong: 0.6 }, step === 0 ? 60 : 14))
      )
    }
  }
}
