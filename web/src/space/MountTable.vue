<script setup lang="ts">
import { Menu } from '../ui/overlays'
import { computed, ref } from 'vue'
import type { FitView } from '../api/client'
import { useBuild } from '../build/store'
import { mountAxisWords, mountMetalWords, usual, type Mount, type Stand } from '../document/types'
import { spoken } from '../quantity/catalogue'
import { useSettings } from '../settings/store'
import ChoiceField from '../ui/ChoiceField.vue'
import EitherOr from '../ui/EitherOr.vue'
import NumberField from '../ui/NumberField.vue'
import TextField from '../ui/TextField.vue'
import Tick from '../ui/Tick.vue'
import { freshMount, HOLDS, type MountKind } from './mounts'

/** The points that hold a body: their bolts, what is between, and what comes on each. */
const props = defineProps<{ fit: FitView; stand: Stand; place: string; name: string; row: string; carriers: string[] }>()
const build = useBuild()
const settings = useSettings()
const menu = ref<InstanceType<typeof Menu>>()
const open = ref<string>()

const mounts = computed(() => props.stand.mounts ?? [])
const answer = computed(() => props.fit.mountings.find((m) => m.place === props.place))
const body = computed(() => props.fit.bodies.find((b) => b.place === props.place)!)
const at = (m: Mount) => `${props.row}/mounts/#${m.id}`
const shown = computed(() => mounts.value.find((m) => m.id === open.value))
const items = HOLDS.map((h) => ({ label: h.label, command: () => put(h.kind) }))
const of = (m: Mount) => `${props.name} ${m.name}`

const told = computed(() => {
  const a = answer.value
  if (!a) return ''
  const units = settings.units
  const parts = [
    `${spoken(a.mass_kg, 'kg', units)} hang there`,
    `${a.existing} of ${a.held.length} bolts are there already`,
    ...(a.frequency_Hz === undefined ? [] : [`slowest swing ${spoken(a.frequency_Hz, 'Hz', units)}`]),
    a.level_deg < 0.05 ? 'level' : `${a.level_deg.toFixed(1)}° off level`,
    Math.abs(a.off_mm) < 0.5
      ? 'in the middle of the room'
      : `${spoken(Math.abs(a.off_mm), 'mm', units)} to the ${a.off_mm > 0 ? 'right' : 'left'} of the middle`,
    ...(a.growth_mm > 0
      ? [`grows ${spoken(a.growth_mm, 'mm', units, 1)} between its hard points, ${spoken(a.play_mm, 'mm', units, 1)} of play`]
      : []),
  ]
  return `${parts.join(', ')}.`
})

function put(kind: MountKind): void {
  const fresh = freshMount(kind, body.value.parts, props.stand.back_mm, mounts.value)
  open.value = fresh.id
  void build.act([{ list: `${props.row}/mounts`, put: fresh }], `${props.name}: ${fresh.name} ${kind}`)
}
function drop(m: Mount): void {
  void build.act([{ row: at(m), out: true }], `${props.name}: ${m.name} out`)
}
function turn(m: Mount, key: 'existing' | 'slotted' | 'standing', yes: boolean, words: string): void {
  void build.act([{ pointer: `${at(m)}/${key}`, value: yes || undefined }], `${of(m)} ${words}`)
}
function carry(m: Mount, carrier: string): void {
  void build.act([{ pointer: `${at(m)}/carrier`, value: carrier === 'body' ? undefined : carrier }], `${of(m)} on the ${carrier}`)
}

const SHAKEN = ['vertical', 'across'] as const
const shaking = computed(() => build.document!.room!.shaking ?? usual['room/shaking'])
function shake(key: (typeof SHAKEN)[number], value: number | undefined): void {
  const next = { ...shaking.value, [key]: value ?? usual['room/shaking'][key] }
  const asUsual = SHAKEN.every((k) => next[k] === usual['room/shaking'][k])
  void build.act([{ pointer: '/room/shaking', value: asUsual ? undefined : next }], 'what mounts must bear')
}
</script>

<template>
  <div class="mounts">
    <h3>
      How it is held
      <button type="button" class="act add" aria-haspopup="menu" @click="menu?.toggle($event)">a point more</button>
    </h3>
    <p v-if="told" class="fine">{{ told }}</p>
    <p v-else-if="!mounts.length" class="fine">No point holds it yet. A bolt stays where it is when the body is moved; a strap reaches to it.</p>
    <table v-if="mounts.length" class="figures">
      <thead>
        <tr>
          <th scope="col">point</th>
          <th scope="col">back</th>
          <th scope="col">right</th>
          <th scope="col">up</th>
          <th scope="col" class="left">bolted to</th>
          <th scope="col">reach</th>
          <th scope="col">most on it</th>
          <th scope="col">of what it bears</th>
          <th><span class="hidden-words">take out</span></th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="(m, i) in mounts" :key="m.id ?? i" :class="{ picked: m === shown }">
          <th scope="row">
            <button type="button" class="act" :aria-expanded="m === shown" @click="open = m === shown ? undefined : m.id">{{ m.name }}</button>
            <small>, {{ m.kind }}</small>
          </th>
          <td v-for="key in ['back_mm', 'right_mm', 'up_mm']" :key="key">
            <NumberField part="room/place" :name="key" :pointer="`${at(m)}/${key}`" :of="of(m)" bare />
          </td>
          <td>
            <ChoiceField
              label="bolted to"
              :of="of(m)"
              :choices="carriers"
              :shown="m.carrier ?? 'body'"
              pointer=""
              bare
              :pick="(c: string) => carry(m, c)"
            />
          </td>
          <template v-if="answer?.held[i]">
            <td>{{ spoken(answer.held[i]!.reach_mm, 'mm', settings.units) }}</td>
            <td>{{ spoken(answer.held[i]!.load_N, 'N', settings.units) }}</td>
            <td :class="{ worse: (answer.held[i]!.used_pct ?? 0) > 100 }">
              {{ answer.held[i]!.used_pct === undefined ? '' : `${answer.held[i]!.used_pct!.toFixed(0)} %` }}
              <small v-if="answer.held[i]!.stress_MPa !== undefined">{{ spoken(answer.held[i]!.stress_MPa!, 'MPa', settings.units) }}</small>
            </td>
          </template>
          <td v-else colspan="3"></td>
          <td class="moves"><button type="button" class="act" :aria-label="`Take ${of(m)} out`" @click="drop(m)">out</button></td>
        </tr>
      </tbody>
    </table>
    <div v-if="shown" class="card">
      <TextField label="name" :pointer="`${at(shown)}/name`" :of="of(shown)" required />
      <NumberField part="stand/mount" name="bolt_mm" :pointer="`${at(shown)}/bolt_mm`" :of="of(shown)" />
      <Tick
        label="the bolt is there already"
        :on="shown.existing === true"
        @turn="turn(shown, 'existing', $event, $event ? 'on a bolt that is there' : 'on a new bolt')"
      />
      <template v-if="shown.kind === 'strap'">
        <NumberField
          v-for="key in ['width_mm', 'thickness_mm']"
          :key="key"
          part="stand/mount"
          :name="key"
          :pointer="`${at(shown)}/${key}`"
          :of="of(shown)"
        />
        <ChoiceField label="cut from" :of="of(shown)" :choices="mountMetalWords" :pointer="`${at(shown)}/metal`" />
        <EitherOr
          :of="`${of(shown)} lies`"
          :choices="[
            { value: 'flat', label: 'lies flat' },
            { value: 'edge', label: 'stands on edge' },
          ]"
          :value="shown.standing ? 'edge' : 'flat'"
          @pick="(v) => turn(shown!, 'standing', v === 'edge', v === 'edge' ? 'stands on edge' : 'lies flat')"
        />
      </template>
      <template v-else-if="shown.kind === 'bobbin'">
        <ChoiceField label="its axis lies" :of="of(shown)" :choices="mountAxisWords" :pointer="`${at(shown)}/axis`" />
        <NumberField
          v-for="key in ['axial_N_mm', 'shear_N_mm']"
          :key="key"
          part="stand/mount"
          :name="key"
          :pointer="`${at(shown)}/${key}`"
          :of="of(shown)"
        />
        <NumberField part="stand/mount" name="load_N" :pointer="`${at(shown)}/load_N`" :of="of(shown)" optional empty="not known" />
      </template>
      <Tick
        v-else
        label="its hole is slotted"
        :on="shown.slotted === true"
        @turn="turn(shown, 'slotted', $event, $event ? 'slotted' : 'not slotted')"
      />
    </div>
    <div v-if="mounts.length" class="card">
      <NumberField part="stand" name="mass_kg" :pointer="`${row}/mass_kg`" :of="name" optional empty="counted" />
      <NumberField
        v-for="key in SHAKEN"
        :key="key"
        part="room/shaking"
        :name="key"
        pointer=""
        :shown="shaking[key]"
        :set="(v: number | undefined) => shake(key, v)"
      />
    </div>
    <Menu ref="menu" :model="items" popup />
  </div>
</template>

<style scoped>
.left {
  text-align: left;
}
h3 .add {
  float: right;
  font-size: var(--s1);
  font-weight: 500;
}
.picked th .act {
  font-weight: 700;
  border-bottom: 2px solid var(--blue);
}
td,
th {
  padding-block: 2px;
}
td :deep(input) {
  text-align: right;
}
td small {
  margin-left: 6px;
}
.act {
  min-height: 24px;
}
.card {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(228px, 1fr));
  column-gap: 30px;
  padding-top: 8px;
}
.fine {
  font-size: var(--s1);
  color: var(--ink-2);
}
small {
  font-weight: 400;
  color: var(--ink-2);
}
</style>
