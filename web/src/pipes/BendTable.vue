<script setup lang="ts">
import { computed, ref } from 'vue'
import type { CatalogueItem } from '../api/client'
import { useBuild } from '../build/store'
import CataloguePicker from '../catalogue/CataloguePicker.vue'
import { boreOf, radiusOf, sizeOf } from '../document/tube'
import type { Bend, PipePiece } from '../document/types'
import { spoken } from '../quantity/catalogue'
import { useSettings } from '../settings/store'
import NumberField from '../ui/NumberField.vue'

/** The bends of a pipe, smooth or mitred. */
const props = defineProps<{ pipe: PipePiece; at: string }>()
const build = useBuild()
const settings = useSettings()
const list = computed(() => `${props.at}/bends`)
const where = (bend: Bend) => `${list.value}/#${bend.id}`

function put(bend: Bend, what: string): void {
  void build.act([{ list: list.value, put: bend }], `${props.pipe.name}: ${what}`)
}

function takeOut(k: number): void {
  void build.act([{ row: where(props.pipe.bends[k]!), out: true }], `${props.pipe.name}: bend ${k + 1} taken out`)
}

function turn(k: number): void {
  const bend = props.pipe.bends[k]!
  const turned: Bend = bend.mitre ? { angle_deg: bend.angle_deg } : { angle_deg: Math.min(bend.angle_deg, 120), mitre: true }
  void build.act(
    [{ pointer: where(bend), value: { ...turned, id: bend.id } }],
    `${props.pipe.name}: bend ${k + 1} ${turned.mitre ? 'mitred' : 'smooth'}`,
  )
}
const picking = ref(false)

/** A bend is bought to the size the pipe is sold by. */
function fits(figures: Record<string, unknown>): boolean {
  const outside = figures.outside_mm === undefined ? undefined : Number(figures.outside_mm)
  return outside === undefined ? Math.abs(Number(figures.bore_mm) - boreOf(props.pipe)) < 1.5 : Math.abs(outside - sizeOf(props.pipe)) < 1.5
}

function take(item: CatalogueItem): void {
  const own = item.figures.radius_mm === undefined ? {} : { radius_mm: Number(item.figures.radius_mm) }
  put({ angle_deg: Number(item.figures.angle_deg), ...own }, `${item.name} added`)
}
</script>

<template>
  <table>
    <thead>
      <tr>
        <th scope="col">bend</th>
        <th scope="col">angle</th>
        <th scope="col">radius</th>
        <th scope="col">of size</th>
        <th scope="col">kind</th>
        <th>
          <button type="button" class="act" :aria-label="`Add a bend to ${pipe.name}`" @click="put({ angle_deg: 90 }, 'bend added')">
            add a bend
          </button>
        </th>
      </tr>
    </thead>
    <tbody>
      <tr v-for="(b, k) in pipe.bends" :key="b.id ?? k">
        <th scope="row">{{ k + 1 }}</th>
        <td><NumberField part="pipe/bends" name="angle_deg" :pointer="`${where(b)}/angle_deg`" :of="`${pipe.name} bend ${k + 1}`" bare /></td>
        <td>
          <NumberField
            v-if="!b.mitre"
            part="pipe/bends"
            name="radius_mm"
            :pointer="`${where(b)}/radius_mm`"
            :of="`${pipe.name} bend ${k + 1}`"
            bare
            optional
            :empty="spoken(radiusOf(b, pipe), 'mm', settings.units, 1)"
          />
        </td>
        <td class="num">{{ b.mitre ? '' : `${(radiusOf(b, pipe) / sizeOf(pipe)).toFixed(2)} D` }}</td>
        <td class="num">
          <button
            type="button"
            class="act"
            :aria-label="`Bend ${k + 1} of ${pipe.name} is ${b.mitre ? 'a mitre' : 'smooth'}; change it`"
            @click="turn(k)"
          >
            {{ b.mitre ? 'mitre' : 'smooth' }}
          </button>
        </td>
        <td class="num">
          <button type="button" class="act" :aria-label="`Take out bend ${k + 1} of ${pipe.name}`" @click="takeOut(k)">take out</button>
        </td>
      </tr>
      <tr v-if="!pipe.bends.length">
        <td colspan="6" class="none">no bends</td>
      </tr>
    </tbody>
    <tfoot>
      <tr>
        <td colspan="6">
          <button type="button" class="act" :aria-label="`A bend for ${pipe.name} from the catalogue`" @click="picking = true">
            a bend from the catalogue
          </button>
          <CataloguePicker v-model:visible="picking" kind="bend" :only="(i) => fits(i.figures)" @choose="take" />
        </td>
      </tr>
    </tfoot>
  </table>
</template>

<style scoped>
table {
  border-collapse: collapse;
  align-self: start;
  width: 100%;
}
th {
  padding: 7px 4px;
  text-align: right;
  font-weight: 500;
  white-space: nowrap;
  color: var(--ink-2);
  border-bottom: 1px solid var(--rule);
}
th:first-child {
  text-align: left;
}
th:last-child,
td:last-child {
  width: 82px;
}
tbody th {
  color: var(--ink-3);
  border-color: var(--hair);
}
td {
  border-bottom: 1px solid var(--hair);
}
.num {
  text-align: right;
  padding: 4px;
  white-space: nowrap;
}
tfoot td {
  border: 0;
  padding-top: 4px;
}
tfoot .act {
  font-size: var(--s1);
}
.none {
  padding: 8px 4px;
  color: var(--ink-2);
}
.act {
  white-space: nowrap;
  font-weight: 500;
  padding: 4px 0;
}
</style>
