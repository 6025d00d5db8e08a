<script setup lang="ts">
import { computed, ref, shallowRef } from 'vue'
import { api, type LogHead, type LogRole, type LogView } from '../api/client'
import { useBuild } from '../build/store'
import { spoken } from '../quantity/catalogue'
import { clock } from '../quantity/time'
import { useSettings } from '../settings/store'
import Notice from '../ui/Notice.vue'
import { Select } from '../ui/overlays'

/** Any CSV of time and load: its columns are found by their names, corrected by hand, and read as a stream. */
const emit = defineEmits<{ done: [] }>()
const build = useBuild()
const settings = useSettings()
const file = shallowRef<File>()
const head = shallowRef<LogHead>()
const picked = ref<Record<string, { column: number; unit: string }>>({})
const log = shallowRef<LogView>()
const failed = ref('')
const reading = ref(false)
const NONE = -1
const outside = computed(() => build.answer?.steady?.outside.pressure_kPa ?? 101.325)
const notes = computed(() => {
  const l = log.value
  if (!l) return []
  const lines = [
    `${l.read.toLocaleString('en')} rows, ${clock(l.length_s)}; ${l.kept} of them kept, straight between. Highest boost ${spoken(l.highestBoost_kPa, 'kPa', settings.units)}.`,
  ]
  if (l.repeated > 0) lines.push(`${l.repeated} rows had the time of the row above and were left out.`)
  if (l.tolerance > 1)
    lines.push(
      `So much moves in it that the rows kept follow it ${l.tolerance} times more loosely than usual: within ${(30 * l.tolerance).toFixed(0)} rpm and ${spoken(l.tolerance, 'kPa', settings.units)}.`,
    )
  for (const g of l.gaps.slice(0, 3)) lines.push(`Line ${g.line}: a gap of ${g.seconds.toFixed(1)} s at ${clock(g.from_s)}, bridged straight.`)
  if (l.gaps.length > 3) lines.push(`${l.gaps.length - 3} more gaps like that.`)
  return lines
})

async function choose(event: Event): Promise<void> {
  const f = (event.target as HTMLInputElement).files?.[0]
  if (!f) return
  file.value = f
  log.value = undefined
  failed.value = ''
  try {
    head.value = await api.logColumns(await f.slice(0, 20_000).text())
    picked.value = Object.fromEntries(head.value.roles.map((r) => [r.role, { column: r.column ?? NONE, unit: r.unit ?? r.units[0]! }]))
    await look()
  } catch (e) {
    failed.value = (e as Error).message
  }
}

function columns(): string {
  return Object.entries(picked.value)
    .filter(([, p]) => p.column !== NONE)
    .map(([role, p]) => `${role}:${p.column}:${p.unit}`)
    .join(',')
}

async function look(): Promise<void> {
  if (!file.value) return
  reading.value = true
  failed.value = ''
  log.value = undefined
  const g = build.document!.gearing
  const query = new URLSearchParams({
    columns: columns(),
    outside_kPa: String(outside.value),
    boost_kPa: String(build.option!.boost_kPa),
    limiter_rpm: String(build.document!.engine.maxSpeed_rpm),
    ...(g
      ? {
          ratios: g.ratios.join(','),
          tyre_mm: String(g.tyre_mm),
          finalDrive: String(g.finalDrive),
          changeUp_rpm: String(g.changeUp_rpm),
          idle_rpm: String(g.idle_rpm),
        }
      : {}),
  })
  try {
    log.value = await api.log(file.value, query)
  } catch (e) {
    failed.value = (e as Error).message
  } finally {
    reading.value = false
  }
}

async function take(): Promise<void> {
  const name = file.value!.name.replace(/\.[a-z]+$/i, '').slice(0, 60)
  const now = build.document!.duty
  const outcome = await build.act(
    [{ pointer: '/duty', value: { name, boostFollowsBrief: false, startAbove_K: now.startAbove_K, repeats: 1, wait_s: 0, rows: log.value!.rows } }],
    `duty from the log ${name}`,
  )
  if (outcome.done) emit('done')
}

const roleName = (role: LogRole) => head.value!.roles.find((r) => r.role === role)!.words
</script>

<template>
  <div class="log">
    <label class="file">
      <span class="act">{{ file ? 'Choose another file' : 'Choose a CSV file' }}</span>
      <input type="file" accept=".csv,.txt,text/csv" aria-label="Log as CSV" @change="choose" />
      <i v-if="file">{{ file.name }}</i>
      <i v-else>time, with boost, manifold pressure or throttle, and engine speed or road speed; any names and units</i>
    </label>
    <table v-if="head" class="figures">
      <thead>
        <tr>
          <th scope="col">is read from</th>
          <th scope="col">column</th>
          <th scope="col">unit</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="r in head.roles" :key="r.role">
          <th scope="row">{{ roleName(r.role) }}</th>
          <td>
            <Select
              v-model="picked[r.role]!.column"
              :options="[{ value: NONE, label: 'none' }, ...head.headings.map((h, i) => ({ value: i, label: h || `column ${i + 1}` }))]"
              option-label="label"
              option-value="value"
              :aria-label="`Column of ${r.words}`"
              @change="look"
            />
          </td>
          <td>
            <Select
              v-model="picked[r.role]!.unit"
              :options="r.units.map((u) => ({ value: u, label: u || 'as it is' }))"
              option-label="label"
              option-value="value"
              :aria-label="`Unit of ${r.words}`"
              :disabled="picked[r.role]!.column === NONE"
              @change="look"
            />
          </td>
        </tr>
      </tbody>
    </table>
    <p v-if="reading">Reading</p>
    <Notice v-if="failed" :says="failed" />
    <ul v-if="notes.length">
      <li v-for="n in notes" :key="n">{{ n }}</li>
    </ul>
    <button v-if="log" type="button" class="act" @click="take">Take it as the duty</button>
  </div>
</template>

<style scoped>
.log {
  padding: 6px 0 16px;
}
.file {
  display: flex;
  gap: 14px;
  align-items: baseline;
  padding: 4px 0 8px;
}
.file input {
  position: absolute;
  width: 1px;
  height: 1px;
  opacity: 0;
}
.file:focus-within .act {
  outline: 2px solid var(--blue);
  outline-offset: 2px;
}
i {
  font-style: normal;
  color: var(--ink-2);
}
table {
  max-width: 560px;
}
td :deep(.p-select) {
  max-width: 220px;
}
ul {
  margin: 8px 0;
  padding: 0;
  list-style: none;
}
</style>
