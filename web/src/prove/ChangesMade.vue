<script setup lang="ts">
import { computed, ref } from 'vue'
import { Select } from '../ui/overlays'
import { api } from '../api/client'
import { useLookedUp } from '../build/lookedUp'
import { useBuild } from '../build/store'
import type { MadeChange } from '../document/types'
import { change, figure } from '../quantity/catalogue'
import { useSettings } from '../settings/store'
import NumberField from '../ui/NumberField.vue'
import Notice from '../ui/Notice.vue'
import TextField from '../ui/TextField.vue'
import { say } from '../verdict/say'
import { useLogs } from './logs'
import { print } from './steps'
import { today } from './today'

/** Changes made to the car: what each cost, what it was to be worth, and what two logs say it is worth. */
const build = useBuild()
const logs = useLogs()
const settings = useSettings()
const changes = computed(() => build.document?.changes ?? [])
const names = computed(() => (logs.list ?? []).map((l) => l.name))
const unit = computed(() => figure(0, 'K', settings.units).unit)
const failed = ref('')
const working = ref<string>()

async function add(): Promise<void> {
  const made: MadeChange = { id: `c${Date.now().toString(36)}`, what: `change ${changes.value.length + 1}`, on: today(), before: '', after: '' }
  if (!build.document!.changes) await build.act([{ pointer: '/changes', value: [made] }], 'change written down')
  else await build.act([{ list: '/changes', put: made, behind: changes.value.at(-1)?.id ?? null }], 'change written down')
}
const at = (c: MadeChange) => `/changes/#${c.id}`
const idOf = (name: string) => logs.list?.find((l) => l.name === name)?.id
const measurable = (c: MadeChange) => idOf(c.before) !== undefined && idOf(c.after) !== undefined && c.before !== c.after

/** Another log behind it makes what was measured another: it is asked for anew. */
async function choose(c: MadeChange, side: 'before' | 'after', name: string): Promise<void> {
  await build.act(
    [
      { pointer: `${at(c)}/${side}`, value: name },
      { pointer: `${at(c)}/gain_K`, value: undefined },
      { pointer: `${at(c)}/within_K`, value: undefined },
    ],
    `${c.what}: log ${side} it "${name}"`,
  )
  const now = changes.value.find((o) => o.id === c.id)
  if (now && measurable(now)) await measure(now)
}
async function measure(c: MadeChange): Promise<void> {
  failed.value = ''
  working.value = c.id
  const of = build.keeper
  try {
    const view = await api.logChange(idOf(c.after)!, idOf(c.before)!, build.document!, build.letter)
    // Another build may be on the screen by now.
    if (build.keeper !== of || !changes.value.some((o) => o.id === c.id && o.before === c.before && o.after === c.after)) return
    await build.act(
      [
        { pointer: `${at(c)}/gain_K`, value: Number(view.gain_K.toFixed(2)) },
        { pointer: `${at(c)}/within_K`, value: Number(view.sd_K.toFixed(2)) },
      ],
      `${c.what}: measured`,
    )
  } catch (e) {
    failed.value = (e as Error).message
  } finally {
    working.value = undefined
  }
}
function takeOut(c: MadeChange): void {
  void build.act([{ row: at(c), out: true }], `change "${c.what}" taken out`)
}
const signed = (v: number | undefined) => (v === undefined ? '' : change(v, 'K', settings.units) || '0')
const apart = (v: number) => figure(v, 'K', settings.units).figure
const { found } = useLookedUp(
  () => changes.value,
  async (document, _, dropped) => (await api.changesMade(document, dropped)).changes,
  150,
  true,
)
const verdict = (i: number) => (found.value[i] ? say(found.value[i], build.catalogue!.sentences, settings.units) : '')
const total = computed(() => ({
  cost: changes.value.reduce((a, c) => a + (c.cost ?? 0), 0),
  hours: changes.value.reduce((a, c) => a + (c.hours ?? 0), 0),
}))
async function paper(): Promise<void> {
  failed.value = await print(
    {
      title: 'Changes made',
      under: build.document!.name,
      sections: [
        {
          heading: '',
          ticked: false,
          lines: [],
          table: [
            ['change', 'on', 'cost', 'hours', `predicted, ${unit.value}`, `measured, ${unit.value}`, 'give or take'],
            ...changes.value.map((c) => [
              c.what,
              c.on,
              c.cost?.toFixed(0) ?? '',
              c.hours?.toFixed(1) ?? '',
              signed(c.predicted_K),
              signed(c.gain_K),
              c.within_K === undefined ? '' : apart(2 * c.within_K),
            ]),
          ],
        },
      ],
      signed: false,
    },
    `${build.document!.name} changes`,
  )
}
</script>

<template>
  <div class="changes">
    <p v-if="!changes.length" class="none">
      No change written down yet. Write down what was predicted before you cut; two logs then say what it was worth, weather and boost taken out.
    </p>
    <article v-for="(c, i) in changes" :key="c.id" :aria-label="c.what">
      <div class="words">
        <TextField label="Change" :pointer="`${at(c)}/what`" required :longest="80" :of="c.what" />
        <TextField label="On" :pointer="`${at(c)}/on`" :longest="40" :of="c.what" />
      </div>
      <div class="numbers">
        <NumberField part="change" name="cost" :pointer="`${at(c)}/cost`" optional empty="not known" :of="c.what" />
        <NumberField part="change" name="hours" :pointer="`${at(c)}/hours`" optional empty="not known" :of="c.what" />
        <NumberField part="change" name="predicted_K" :pointer="`${at(c)}/predicted_K`" optional empty="not predicted" :of="c.what" />
      </div>
      <div class="measured">
        <span class="from">
          From
          <Select
            :model-value="c.before || undefined"
            :options="names"
            placeholder="log before it"
            :aria-label="`${c.what}, log before`"
            @update:model-value="choose(c, 'before', $event)"
          />
          to
          <Select
            :model-value="c.after || undefined"
            :options="names"
            placeholder="log after it"
            :aria-label="`${c.what}, log after`"
            @update:model-value="choose(c, 'after', $event)"
          />
        </span>
        <p v-if="working === c.id" class="quiet">Taking the day out</p>
        <p v-else class="worth" :class="{ told: c.gain_K !== undefined }">{{ verdict(i) }}</p>
        <span class="acts">
          <button v-if="measurable(c) && working !== c.id" type="button" class="act" @click="measure(c)">
            {{ c.gain_K === undefined ? 'Measure' : 'Measure anew' }}
          </button>
          <button type="button" class="act" :aria-label="`Take out ${c.what}`" @click="takeOut(c)">take out</button>
        </span>
      </div>
    </article>
    <p v-if="changes.length > 1" class="quiet">In all {{ total.cost.toFixed(0) }} for parts and {{ total.hours.toFixed(1) }} hours.</p>
    <Notice v-if="failed" :says="failed" />
    <p class="ends">
      <button type="button" class="act" @click="add">Write a change down</button>
      <button v-if="changes.length" type="button" class="act" @click="paper">On paper</button>
    </p>
  </div>
</template>

<style scoped>
.none {
  max-width: 640px;
  padding: 18px 0 6px;
  color: var(--ink-2);
}
article {
  padding: 12px 0;
  border-bottom: 1px solid var(--rule);
}
.words {
  display: grid;
  grid-template-columns: minmax(0, 2fr) minmax(0, 1fr);
  gap: 0 30px;
}
.numbers {
  display: grid;
  grid-template-columns: repeat(3, minmax(0, 1fr));
  gap: 0 30px;
}
.measured {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 24px;
  align-items: baseline;
  padding-top: 6px;
}
.worth {
  flex: 1;
  min-width: 260px;
}
.told {
  font-weight: 600;
}
.quiet {
  color: var(--ink-2);
}
.acts {
  display: flex;
  gap: 18px;
}
.from :deep(.p-select-label) {
  padding: 3px 4px;
  font-size: var(--s2);
  font-weight: 500;
  color: var(--blue);
}
.ends {
  display: flex;
  gap: 22px;
  padding-top: 14px;
}
@media (max-width: 1100px) {
  .numbers {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
