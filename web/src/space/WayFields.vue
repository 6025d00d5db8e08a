<script setup lang="ts">
import { computed } from 'vue'
import type { AirWayView } from '../api/client'
import { useBuild } from '../build/store'
import type { AirWay, Wall } from '../document/types'
import ChoiceField from '../ui/ChoiceField.vue'
import NumberField from '../ui/NumberField.vue'
import TextField from '../ui/TextField.vue'
import WayInRoomFields from './WayInRoomFields.vue'

/** Opening, what stands before it, exit and fan of a way of the air. */
const props = defineProps<{ way: AirWay; at: string; view?: AirWayView }>()
const build = useBuild()
const walls = computed(() => props.way.opening.walls ?? [])

function write(pointer: string, value: unknown, words: string): void {
  void build.act([{ pointer, value }], words)
}

const wallAt = (w: Wall) => `${props.at}/opening/walls/#${w.id}`

function addWall(): void {
  const put: Wall = { name: 'number plate', width_mm: 520, height_mm: 110, across_mm: 0, up_mm: 0 }
  void build.act([{ list: `${props.at}/opening/walls`, put }], 'number plate put in')
}

function takeOutWall(w: Wall): void {
  void build.act([{ row: wallAt(w), out: true }], `${w.name} taken out`)
}

function fan(on: boolean): void {
  const fresh: AirWay['fan'] = {
    curve: [
      { flow_m3_h: 0, pressure_Pa: 220 },
      { flow_m3_h: 2600, pressure_Pa: 0 },
    ],
    backwards: false,
    offAbove_km_h: 60,
  }
  write(`${props.at}/fan`, on ? fresh : undefined, `${props.way.name}: fan ${on ? 'put in' : 'taken out'}`)
}

/** Pressure at an opening by where it is, % of the road wind's (common practice, no source). */
const PLACES: Record<string, number> = { 'facing the wind': 92, scoop: 70, sidepod: 60, 'under-tray': 40, 'rear scoop': 30 }
const places = [...Object.keys(PLACES), 'as typed'].map((w) => ({ value: w, label: w }))
const place = computed(() => Object.keys(PLACES).find((w) => PLACES[w] === props.way.opening.pressure_pct) ?? 'as typed')

function setPlace(where: string): void {
  const pressure = PLACES[where]
  if (pressure !== undefined) write(`${props.at}/opening/pressure_pct`, pressure, `${props.way.name}: opening ${where}`)
}

const yesNo = [
  { value: 'no', label: 'no' },
  { value: 'yes', label: 'yes' },
]
const winds = [
  { value: 'no', label: 'with the wind' },
  { value: 'yes', label: 'against it' },
]
</script>

<template>
  <div class="thirds">
    <section>
      <h2>Opening</h2>
      <TextField label="name" :pointer="`${at}/name`" required :longest="60" />
      <ChoiceField label="where" :pointer="`${at}/opening/pressure_pct`" :choices="places" :shown="place" :pick="setPlace" :of="way.name" />
      <NumberField
        v-for="key in ['width_mm', 'height_mm', 'pressure_pct', 'open_pct']"
        :key="key"
        part="airWay/opening"
        :name="key"
        :pointer="`${at}/opening/${key}`"
      />
      <ChoiceField
        label="rounded lip"
        :pointer="`${at}/opening/roundedLip`"
        :choices="yesNo"
        :shown="way.opening.roundedLip ? 'yes' : 'no'"
        :pick="(v) => write(`${at}/opening/roundedLip`, v === 'yes', `rounded lip ${v}`)"
        :of="way.name"
      />
      <ChoiceField
        label="duct widens to the stack"
        :pointer="`${at}/ducted`"
        :choices="yesNo"
        :shown="way.ducted ? 'yes' : 'no'"
        :pick="(v) => write(`${at}/ducted`, v === 'yes', `${way.name} ducted ${v}`)"
        :of="way.name"
      />
      <NumberField part="airWay" name="seal_pct" :pointer="`${at}/seal_pct`" />
    </section>
    <section>
      <h2>Before the opening <button type="button" class="act add" @click="addWall">a plate or bar</button></h2>
      <p v-if="!walls.length" class="fine">Nothing stands before it.</p>
      <div v-for="w in walls" :key="w.id" class="wall">
        <TextField label="name" :pointer="`${wallAt(w)}/name`" required :longest="60" />
        <NumberField
          v-for="key in ['width_mm', 'height_mm', 'across_mm', 'up_mm']"
          :key="key"
          part="airWay/opening/wall"
          :name="key"
          :pointer="`${wallAt(w)}/${key}`"
          :of="w.name"
        />
        <button type="button" class="act" :aria-label="`Take out ${w.name}`" @click="takeOutWall(w)">take out</button>
      </div>
    </section>
    <section>
      <h2>Exit and fan</h2>
      <NumberField v-for="key in ['area_cm2', 'pressure_pct']" :key="key" part="airWay/exit" :name="key" :pointer="`${at}/exit/${key}`" of="exit" />
      <NumberField
        v-for="key in ['spaceWidth_mm', 'spaceHeight_mm', 'recirculation_pct']"
        :key="key"
        part="airWay"
        :name="key"
        :pointer="`${at}/${key}`"
      />
      <template v-if="way.fan">
        <template v-for="(c, k) in way.fan.curve" :key="c.id ?? k">
          <NumberField
            part="airWay/fan/curve"
            name="flow_m3_h"
            :pointer="`${at}/fan/curve/#${c.id}/flow_m3_h`"
            :of="`fan point ${k + 1}`"
            :label="`fan flow, point ${k + 1}`"
          />
          <NumberField
            part="airWay/fan/curve"
            name="pressure_Pa"
            :pointer="`${at}/fan/curve/#${c.id}/pressure_Pa`"
            :of="`fan point ${k + 1}`"
            :label="`fan pressure, point ${k + 1}`"
          />
        </template>
        <NumberField part="airWay/fan" name="offAbove_km_h" :pointer="`${at}/fan/offAbove_km_h`" of="fan" />
        <ChoiceField
          label="blows"
          :pointer="`${at}/fan/backwards`"
          :choices="winds"
          :shown="way.fan.backwards ? 'yes' : 'no'"
          :pick="(v) => write(`${at}/fan/backwards`, v === 'yes', `fan blows ${v === 'yes' ? 'against the wind' : 'with the wind'}`)"
          of="fan"
        />
        <ChoiceField
          label="works while engine off"
          :pointer="`${at}/fan/whileOff`"
          :choices="yesNo"
          :shown="way.fan.whileOff === false ? 'no' : 'yes'"
          :pick="(v) => write(`${at}/fan/whileOff`, v === 'yes', `fan works while the engine is off: ${v}`)"
          of="fan"
        />
      </template>
      <p class="fine">
        <button type="button" class="act" @click="fan(!way.fan)">{{ way.fan ? 'take the fan out' : 'put a fan in' }}</button>
      </p>
    </section>
    <WayInRoomFields :way="way" :at="at" :view="view" />
  </div>
</template>

<style scoped>
.thirds {
  display: grid;
  grid-template-columns: repeat(3, minmax(0, 1fr));
  gap: 34px;
  padding-top: 20px;
}
.add {
  float: right;
  font-size: var(--s1);
  font-weight: 500;
}
.wall {
  padding-bottom: 12px;
}
.wall .act {
  padding: 4px 0;
  font-size: var(--s1);
}
.fine {
  padding-top: 6px;
  font-size: var(--s1);
  color: var(--ink-2);
}
@media (max-width: 1180px) {
  .thirds {
    grid-template-columns: repeat(2, minmax(0, 1fr));
  }
}
</style>
