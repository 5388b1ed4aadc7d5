<script setup lang="ts">
import { fitToGamut } from '~~/core/colour/gamut'
import { convertLinearToOklab } from '~~/core/colour/oklab'
import { hexOfLinear } from '~~/core/colour/srgb'
import { stepWords } from '~~/core/critique/words'
import { balancingShares } from '~~/core/measure/harmony/proportion'
import type { Family } from '~~/core/measure/report'
import { painterPositionOfHue } from '~~/core/wheel/painter'
import { anchorAt } from '~~/core/wheel/wheel'
import { hueOf } from '~~/core/numeric/angle'
import type { WheelName } from '~~/core/wheel/steps'

/**
 * How much of each colour family there is, and the share at which their lightness would balance (contrast of
 * extension).
 */
const props = defineProps<{ families: readonly Family[]; wheel: WheelName }>()

const main = computed(() => props.families.filter(f => f.weight >= 0.05).slice(0, 6))
const rows = computed(() => {
  const anchors = main.value.map(f => fitToGamut(anchorAt(props.wheel, f.position)))
  // Balance is taught on the painter's wheel, whichever the picture is seen on.
  const balance = balancingShares(
    anchors.map(c => {
      const lab = convertLinearToOklab(c)
      return painterPositionOfHue(hueOf(lab[1], lab[2]))
    })
  )
  const total = main.value.reduce((sum, f) => sum + f.area, 0)
  return main.value.map((f, i) => ({
    name: stepWords(f.step),
    share: total > 0 ? f.area / total : 0,
    balance: balance[i]!,
    hex: hexOfLinear(anchors[i]!)
  }))
})
const label = (r: (typeof rows.value)[number]): string =>
  `${r.name}: ${Math.round(100 * r.share)} % of the coloured area, ${Math.round(100 * r.balance)} % would balance`
</script>

<template>
  <div v-if="rows.length > 1" class="proportion">
    <h3>Amounts, and what would balance</h3>
    <div v-for="r in rows" :key="r.name" class="row" role="img" :aria-label="label(r)">
      <span>{{ r.name }}</span>
      <span class="bar"
        ><i :style="{ width: `${100 * r.share}%`, background: r.hex }" /><b :style="{ left: `${100 * r.balance}%` }"
      /></span>
      <span class="figure"
        >{{ Math.round(100 * r.share) }} % <small>of {{ Math.round(100 * r.balance) }}</small></span
      >
    </div>
  </div>
</template>

<style scoped>
.proportion {
  padding: 8px 0;
  font-size: 13px;
  color: var(--panel-quiet);
}
h3 {
  font-family: var(--sans);
  font-size: 13px;
  font-weight: 600;
  color: var(--panel-ink);
}
.row {
  display: grid;
  grid-template-columns: 96px 1fr 76px;
  gap: 8px;
  align-items: center;
  height: 22px;
}
.bar {
  position: relative;
  height: 9px;
  background: var(--l30);
}
.bar i {
  display: block;
  height: 100%;
}
.bar b {
  position: absolute;
  top: -3px;
  bottom: -3px;
  width: 2px;
  background: var(--l100);
  outline: 1px solid var(--l20);
}
.figure {
  text-align: right;
  white-space: nowrap;
}
small {
  font-size: 11px;
}
</style>
