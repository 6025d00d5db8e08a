<script setup lang="ts">
import { computed } from 'vue'
import type { OptionAnswer } from '../api/client'
import { useBuild } from '../build/store'
import { change, figure, type AnswerUnit } from '../quantity/catalogue'
import { span } from '../quantity/time'
import { useSettings } from '../settings/store'

/** All options on the same duty, each against the first. */
const build = useBuild()
const settings = useSettings()
const columns = computed(() => build.document!.options.map((o) => ({ option: o, answer: build.answers[o.letter] })))

interface Row {
  name: string
  unit: string
  cells: { text: string; delta: string; better: boolean; best: boolean }[]
}

function row(
  name: string,
  unit: AnswerUnit | 'share' | 'time' | 'ratio',
  value: (a: OptionAnswer) => number | undefined | null,
  lowIsGood: boolean,
  digits?: number,
): Row {
  const values = columns.value.map((c) => (c.answer ? value(c.answer) : undefined))
  const first = values[0]
  const known = values.filter((v): v is number => v != null)
  const best = lowIsGood ? Math.min(...known) : Math.max(...known)
  const text = (v: number) =>
    unit === 'share'
      ? `${(100 * v).toFixed(0)}`
      : unit === 'time'
        ? span(v)
        : unit === 'ratio'
          ? v.toFixed(3)
          : figure(v, unit, settings.units, digits).figure
  const delta = (v: number) => {
    if (first == null) return ''
    const d = v - first
    if (unit === 'share') return Math.abs(d) < 0.005 ? '' : `${d > 0 ? '+' : '−'}${Math.abs(100 * d).toFixed(0)}`
    if (unit === 'time') return Math.abs(d) < 1 ? '' : `${d > 0 ? '+' : '−'}${span(Math.abs(d))}`
    if (unit === 'ratio') return Math.abs(d) < 0.0005 ? '' : `${d > 0 ? '+' : '−'}${Math.abs(d).toFixed(3)}`
    return change(d, unit === 'C' ? 'K' : unit, settings.units, digits)
  }
  return {
    name,
    unit: unit === 'share' ? '%' : unit === 'time' || unit === 'ratio' ? '' : figure(0, unit, settings.units).unit,
    cells: values.map((v, i) =>
      v == null
        ? { text: 'no answer', delta: '', better: false, best: false }
        : {
            text: text(v),
            delta: i === 0 ? '' : delta(v),
            better: lowIsGood ? v < (first ?? v) : v > (first ?? v),
            best: v === best && known.some((k) => Math.abs(k - best) > 1e-6),
          },
    ),
  }
}

const rows = computed<Row[]>(() => [
  row('worst intake under load', 'C', (a) => a.soak?.verdict.worst_C, true),
  row('mean intake under load', 'C', (a) => a.soak?.verdict.mean_C, true),
  row('load above the target', 'time', (a) => a.soak?.verdict.overTarget_s, true),
  row('load above the timing line', 'time', (a) => a.soak?.verdict.overTiming_s, true),
  row('density won back from heat', 'share', (a) => (a.soak?.figures.wonBack_pct == null ? undefined : a.soak.figures.wonBack_pct / 100), false),
  row('full load: intake', 'C', (a) => a.steady?.stations.at(-1)?.temperature_C, true),
  row('full load: way down to outside air', 'share', (a) => a.steady?.core?.recovered, false),
  row('full load: loss, filter to plenum', 'kPa', (a) => a.steady?.totalLoss_kPa, true, 2),
  row('full load: pressure ratio', 'ratio', (a) => a.steady?.pressureRatio, true),
  row('full load: blower power', 'kW', (a) => a.steady?.shaftPower_kW, true),
  row('full load: charge density', 'kg_m3', (a) => a.steady?.chargeDensity_kg_m3, false),
  row('full load: air flow', 'kg_s', (a) => a.steady?.flow_kg_s, false),
  row('core metal', 'kg', (a) => a.steady?.core?.metalMass_kg, true),
])
</script>

<template>
  <div class="compare">
    <table>
      <thead>
        <tr>
          <th scope="col">on {{ build.document!.duty.name }}</th>
          <th v-for="c in columns" :key="c.option.letter" scope="col" :class="{ on: c.option.letter === build.letter }">
            <button type="button" @click="build.choose(c.option.letter)">
              <b>{{ c.option.letter }}</b> {{ c.option.name }}
            </button>
          </th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="r in rows" :key="r.name">
          <th scope="row">
            {{ r.name }}<span v-if="r.unit">, {{ r.unit }}</span>
          </th>
          <td v-for="(cell, i) in r.cells" :key="i" :class="{ on: columns[i]!.option.letter === build.letter }">
            <span class="delta" :class="cell.better ? 'better' : 'worse'">{{ cell.delta }}</span>
            <span class="value" :class="{ best: cell.best }">{{ cell.text }}</span>
          </td>
        </tr>
      </tbody>
    </table>
    <p class="fine">Changes are against option {{ columns[0]?.option.letter }}. The best of each row is underlined.</p>
  </div>
</template>

<style scoped>
.compare {
  padding: 6px 28px 30px;
  overflow: auto;
}
table {
  width: 100%;
  border-collapse: collapse;
}
th {
  padding: 8px 6px;
  text-align: right;
  font-weight: 500;
  border-bottom: 1px solid var(--ink);
}
th:first-child {
  text-align: left;
  padding-left: 0;
}
thead button {
  text-align: right;
}
thead .on button {
  color: var(--blue);
}
tbody th {
  color: var(--ink-2);
  border-color: var(--hair);
}
td {
  padding: 8px 6px;
  text-align: right;
  white-space: nowrap;
  border-bottom: 1px solid var(--hair);
}
td.on,
thead .on {
  background: color-mix(in srgb, var(--bench) 55%, transparent);
}
.value {
  display: inline-block;
  min-width: 62px;
  font-weight: 700;
  font-stretch: 104%;
}
.best {
  text-decoration: underline;
  text-decoration-color: var(--cool);
  text-decoration-thickness: 2px;
  text-underline-offset: 4px;
}
.delta {
  font-size: var(--s1);
  font-weight: 600;
}
.fine {
  padding-top: 8px;
  font-size: var(--s1);
  color: var(--ink-2);
}
</style>
