<script setup lang="ts">
import { computed } from 'vue'
import type { LegView, PieceView, StationView, SteadyView } from '../api/client'
import { figure, spoken, type AnswerUnit } from '../quantity/catalogue'
import { useSettings } from '../settings/store'

/** Every station of the way with its static and total state, and what has been lost and filled up to it. */
const props = defineProps<{ steady: SteadyView }>()
const settings = useSettings()

interface Row {
  number: string
  station: StationView
  lost: number
  volume: number
  leg: boolean
}

const rows = computed<Row[]>(() => {
  const list: Row[] = []
  walk(list, props.steady.stations, props.steady.pieces, '', 0, 0)
  return list
})

function walk(list: Row[], stations: StationView[], pieces: PieceView[], before: string, lostSoFar: number, volumeSoFar: number): void {
  let lost = lostSoFar
  let volume = volumeSoFar
  stations.forEach((station, i) => {
    if (i > 0) {
      const piece = pieces[i - 1]!
      for (const [k, leg] of piece.legs.entries()) walk(list, leg.stations, leg.pieces, `${before}${i}${'ab'[k]}`, lost + leg.splitLoss_kPa, volume)
      lost += lossOf(piece)
      volume += volumeOf(piece)
    }
    list.push({ number: before ? `${before}${i + 1}` : String(i + 1), station, lost, volume, leg: before !== '' })
  })
}

function lossOf(piece: PieceView): number {
  if (piece.legs.length) return piece.legs.reduce((sum, leg) => sum + (leg.share_pct / 100) * legLoss(leg), 0)
  return piece.kind === 'blower' ? 0 : piece.loss_kPa
}

function legLoss(leg: LegView): number {
  return leg.splitLoss_kPa + leg.mergeLoss_kPa + leg.pieces.reduce((sum, p) => sum + lossOf(p), 0)
}

function volumeOf(piece: PieceView): number {
  return piece.volume_L + piece.legs.reduce((sum, leg) => sum + leg.pieces.reduce((all, p) => all + p.volume_L, 0), 0)
}

const f = (value: number, unit: AnswerUnit, digits?: number) => figure(value, unit, settings.units, digits).figure
const unit = (u: AnswerUnit) => spoken(0, u, settings.units).replace(/^\S+ /, '')
</script>

<template>
  <section>
    <h2>Stations</h2>
    <table class="figures">
      <thead>
        <tr>
          <th scope="col">no.</th>
          <th scope="col">station</th>
          <th scope="col">total, {{ unit('kPa') }}</th>
          <th scope="col">static, {{ unit('kPa') }}</th>
          <th scope="col">{{ unit('C') }}</th>
          <th scope="col">{{ unit('kg_m3') }}</th>
          <th scope="col">{{ unit('m_s') }}</th>
          <th scope="col">Mach</th>
          <th scope="col">lost so far, {{ unit('kPa') }}</th>
          <th scope="col">volume, L</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="r in rows" :key="r.number" :class="{ leg: r.leg }">
          <td>{{ r.number }}</td>
          <th scope="row">{{ r.station.name }}</th>
          <td>{{ f(r.station.totalPressure_kPa, 'kPa', 2) }}</td>
          <td>{{ f(r.station.staticPressure_kPa, 'kPa', 2) }}</td>
          <td>{{ f(r.station.temperature_C, 'C') }}</td>
          <td>{{ f(r.station.density_kg_m3, 'kg_m3', 3) }}</td>
          <td>{{ f(r.station.velocity_m_s, 'm_s') }}</td>
          <td>{{ r.station.mach.toFixed(3) }}</td>
          <td>{{ f(r.lost, 'kPa', 2) }}</td>
          <td>{{ r.volume.toFixed(1) }}</td>
        </tr>
      </tbody>
    </table>
  </section>
</template>

<style scoped>
th:nth-child(2),
td:first-child {
  text-align: left;
}
td:first-child {
  color: var(--ink-2);
}
.leg th {
  padding-left: 18px;
}
</style>
