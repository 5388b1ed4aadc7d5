<script setup lang="ts">
import { threeOf } from '~~/core/exercise/plan/colours'
import type { Plan } from '~~/core/exercise/plan/plan'
import { SCHEME_WORDS } from '~~/core/wheel/schemes'
import type { WheelName } from '~~/core/wheel/steps'
import { stepAt } from '~~/core/wheel/wheel'

/** A plan at a glance: what it was to be, in which colours, in which amounts. */
const props = defineProps<{ plan: Plan; wheel: WheelName }>()
const three = computed(() => threeOf(props.wheel, props.plan.scheme, props.plan.hue))
const shares = computed(() => props.plan.amounts.map(share => Math.round(100 * share)))
const words = computed(() => {
  const { subject, scheme, hue } = props.plan
  return `${subject}: ${SCHEME_WORDS[scheme]}, ${stepAt(props.wheel, hue)}`
})
</script>

<template>
  <div class="plan-summary">
    <p><b>Planned:</b> {{ words }}<slot /></p>
    <div
      class="bar"
      role="img"
      :aria-label="`leader ${shares[0]} %, assistant ${shares[1]} %, accent ${shares[2]} %`"
      :title="`leader ${shares[0]} %, assistant ${shares[1]} %, accent ${shares[2]} %`"
    >
      <span v-for="(share, i) in plan.amounts" :key="i" :style="{ width: `${100 * share}%`, background: three[i] }" />
    </div>
  </div>
</template>

<style scoped>
.plan-summary {
  display: grid;
  gap: 6px;
  width: 100%;
}
.bar {
  display: flex;
  height: 12px;
}
</style>
