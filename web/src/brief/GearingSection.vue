<script setup lang="ts">
import { computed, ref } from 'vue'
import { useBuild } from '../build/store'
import { spoken } from '../quantity/catalogue'
import { useSettings } from '../settings/store'
import NumberField from '../ui/NumberField.vue'
import Notice from '../ui/Notice.vue'

/** What turns road speed into engine speed, so that a duty needs only road speeds. */
const build = useBuild()
const settings = useSettings()
const gearing = computed(() => build.document!.gearing)
const draft = ref<string>()
const refusal = ref('')
const written = computed(() => gearing.value?.ratios.join('  ') ?? '')
/** Road speed at which the top gear reaches the limiter. */
const top = computed(() => {
  const g = gearing.value
  const limiter = build.document!.engine.maxSpeed_rpm
  return g && limiter ? spoken(((limiter / g.finalDrive / g.ratios.at(-1)!) * g.tyre_mm * 60) / 1e6, 'km_h', settings.units) : ''
})

function toggle(): void {
  const usual = (key: string) => build.catalogue!.field('gearing', key).usual
  const limiter = build.document!.engine.maxSpeed_rpm ?? 6500
  const value = gearing.value
    ? undefined
    : {
        tyre_mm: usual('tyre_mm'),
        finalDrive: usual('finalDrive'),
        ratios: [3.4, 2, 1.35, 1, 0.8],
        changeUp_rpm: Math.round(limiter * 0.96),
        idle_rpm: usual('idle_rpm'),
      }
  void build.act([{ pointer: '/gearing', value }], gearing.value ? 'gearing left out' : 'gearing given')
}

async function commit(): Promise<void> {
  if (draft.value === undefined || draft.value.trim() === written.value) return reset()
  const words = draft.value.trim().split(/[\s;/]+/)
  const ratios = words.map((w) => Number(w.replace(',', '.')))
  const bad = words[ratios.findIndex((r) => !Number.isFinite(r))]
  if (bad !== undefined) {
    refusal.value = `"${bad}" is not a number. Write the gears from first to top, as in 3.4 2 1.35 1 0.8.`
    return
  }
  const outcome = await build.edit([{ pointer: '/gearing/ratios', value: ratios }], `gears ${ratios.join(' ')}`)
  if (outcome.done) reset()
  else refusal.value = outcome.fault.sentence
}

function reset(): void {
  draft.value = undefined
  refusal.value = ''
}
</script>

<template>
  <section>
    <h2>Gearing</h2>
    <template v-if="gearing">
      <div class="gears">
        <label for="gears">gears, first to top</label>
        <input
          id="gears"
          :value="draft ?? written"
          :aria-invalid="!!refusal"
          @input="draft = ($event.target as HTMLInputElement).value"
          @change="commit"
          @keydown.enter="commit"
          @keydown.escape="reset"
        />
      </div>
      <Notice v-if="refusal" :says="refusal" />
      <NumberField part="gearing" name="finalDrive" pointer="/gearing/finalDrive" />
      <NumberField part="gearing" name="tyre_mm" pointer="/gearing/tyre_mm" />
      <NumberField part="gearing" name="changeUp_rpm" pointer="/gearing/changeUp_rpm" />
      <NumberField part="gearing" name="idle_rpm" pointer="/gearing/idle_rpm" />
      <p class="said">Top gear meets the limiter at {{ top }}. <button type="button" class="act" @click="toggle">leave it out</button></p>
    </template>
    <p v-else class="said">
      Not given: pieces of the duty and logs need an engine speed. <button type="button" class="act" @click="toggle">give it</button>
    </p>
  </section>
</template>

<style scoped>
.gears {
  display: flex;
  justify-content: space-between;
  align-items: center;
  min-height: 34px;
  border-bottom: 1px solid var(--hair);
}
label {
  color: var(--ink-2);
}
input {
  width: 60%;
  padding: 5px 0;
  border: 0;
  background: none;
  text-align: right;
  font-weight: 600;
  font-stretch: 96%;
}
.said {
  padding: 7px 0 6px;
  color: var(--ink-2);
}
</style>
