<script setup lang="ts">
import { computed } from 'vue'
import { useBuild } from '../build/store'
import type { DutyRow } from '../document/types'
import { useSettings } from '../settings/store'
import NumberField from '../ui/NumberField.vue'
import { clock } from '../quantity/time'

/** The duty as a table: time, engine speed, boost, road speed; straight between rows. */
const build = useBuild()
const settings = useSettings()
const duty = computed(() => ({ ...build.document!.duty, rows: build.document!.duty.rows ?? [] }))
const columns = ['time_s', 'engineSpeed_rpm', 'boost_kPa', 'roadSpeed_km_h'] as const
const highest = computed(() => Math.max(...duty.value.rows.map((r) => r.boost_kPa)))
const factor = computed(() => (duty.value.boostFollowsBrief && highest.value > 0 ? build.option!.boost_kPa / highest.value : 1))

function head(key: (typeof columns)[number]): string {
  const field = build.catalogue!.field('duty/rows', key)
  return `${field.label}, ${build.catalogue!.shownUnit(field, settings.units).symbol}`
}

function runs(boost: number): string {
  const field = build.catalogue!.field('duty/rows', 'boost_kPa')
  return build.catalogue!.text(field, boost > 0 ? boost * factor.value : boost, settings.units)
}

function insertAfter(i: number): void {
  const rows = duty.value.rows
  const here = rows[i]!
  const next = rows[i + 1]
  const row: DutyRow = next
    ? {
        time_s: (here.time_s + next.time_s) / 2,
        engineSpeed_rpm: (here.engineSpeed_rpm + next.engineSpeed_rpm) / 2,
        boost_kPa: (here.boost_kPa + next.boost_kPa) / 2,
        roadSpeed_km_h: (here.roadSpeed_km_h + next.roadSpeed_km_h) / 2,
      }
    : { ...here, id: undefined, time_s: here.time_s + 30 }
  void build.act([{ list: '/duty/rows', put: row, behind: here.id ?? null }], `duty row added at ${clock(row.time_s)}`)
}

function remove(i: number): void {
  void build.act([{ row: `/duty/rows/#${duty.value.rows[i]!.id}`, out: true }], `duty row ${i + 1} taken out`)
}
</script>

<template>
  <div class="duty">
    <table>
      <thead>
        <tr>
          <th scope="col">row</th>
          <th v-for="c in columns" :key="c" scope="col">{{ head(c) }}</th>
          <th scope="col" class="unbroken">runs at, {{ build.letter }}</th>
          <th><span class="hidden-words">Change rows</span></th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="(row, i) in duty.rows" :key="row.id ?? i">
          <th scope="row">{{ i + 1 }}</th>
          <td v-for="c in columns" :key="c">
            <NumberField part="duty/rows" :name="c" :pointer="`/duty/rows/#${row.id}/${c}`" :of="`duty row ${i + 1}`" bare />
          </td>
          <td class="num unbroken">{{ runs(row.boost_kPa) }}</td>
          <td class="ways">
            <button type="button" class="act" :aria-label="`Add a row after row ${i + 1}`" @click="insertAfter(i)">add</button>
            <button type="button" class="act" :disabled="duty.rows.length <= 2 || i === 0" :aria-label="`Take out row ${i + 1}`" @click="remove(i)">
              take out
            </button>
          </td>
        </tr>
      </tbody>
    </table>
  </div>
</template>

<style scoped>
.unbroken {
  white-space: nowrap;
}
table {
  width: 100%;
  border-collapse: collapse;
}
th {
  padding: 5px 4px;
  font-weight: 500;
  color: var(--ink-2);
  text-align: right;
  border-bottom: 1px solid var(--rule);
}
th:first-child {
  text-align: left;
  width: 44px;
}
tbody th {
  color: var(--ink-3);
  border-color: var(--hair);
}
td {
  border-bottom: 1px solid var(--hair);
  padding: 0 4px;
}
.num {
  text-align: right;
  color: var(--ink-2);
}
.ways {
  width: 128px;
  text-align: right;
  white-space: nowrap;
}
.ways button {
  padding: 7px 0 7px 14px;
  font-weight: 500;
}
</style>
