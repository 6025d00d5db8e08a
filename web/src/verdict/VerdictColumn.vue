<script setup lang="ts">
import { computed } from 'vue'
import { useRouter } from 'vue-router'
import { api, type ChangeView, type FindingView } from '../api/client'
import { useLookedUp } from '../build/lookedUp'
import { useBuild } from '../build/store'
import { freeLetter } from '../document/edit'
import { change } from '../quantity/catalogue'
import { clock, span } from '../quantity/time'
import { useSettings } from '../settings/store'
import KnowButton from '../reasons/KnowButton.vue'
import HowSure from './HowSure.vue'
import { say, told } from './say'
import { shareParts, sinkName, type SharePart } from './shares'

const build = useBuild()
const settings = useSettings()
const router = useRouter()

const verdict = computed(() => build.answer?.soak?.verdict)
const cooledBy = computed(() => build.answer?.steady?.core?.cooledBy ?? 'air')
const sink = computed(() => sinkName(build.answer?.steady, build.answer?.steady?.core?.place))
const parts = computed(() => (verdict.value?.atWorst ? shareParts(verdict.value.atWorst, cooledBy.value, sink.value) : []))
const says = (part: FindingView['part']) => told(verdict.value!.findings, part, build.catalogue!.sentences, settings.units)
/** Width of the bar and of a letter in it, px, near enough to tell whether a name fits its part. */
const BAR = 318
const LETTER = 6.6
const named = (p: SharePart) => (p.name.length + 5) * LETTER + 12 < (p.percent / 100) * BAR
const small = computed(() =>
  parts.value
    .filter((p) => !named(p))
    .map((p) => `${p.name} ${p.percent.toFixed(0)} %`)
    .join(', '),
)
/** No line ends between a number and its sign. */
const unbroken = (text: string) => text.replaceAll(/ (?=[%°])/g, '\u00a0')
/** Whether it fits its room, where one is measured and something stands in it. */
const fitting = computed(() => {
  const fit = build.answer?.fit
  return fit?.bodies.length ? say(fit.findings[0]!, build.catalogue!.sentences, settings.units) : ''
})
/** What is wrong with the joints of its pipes: the first, and how many more. */
const joints = computed(() => build.answer?.steady?.joints ?? [])
const notes = computed(() => build.answer?.steady?.notes ?? [])

/** What was found belongs to the document it was asked of: while that is not the one on screen, nothing can be taken from it. */

/** Each is computed through the whole duty. */
const {
  found: changes,
  asked,
  looking,
  stale,
} = useLookedUp<ChangeView>(
  () => undefined,
  async (document, letter, dropped) => (await api.changes(document, letter, dropped)).changes,
  400,
)

function words(c: ChangeView): string {
  const core = c.option?.path.find((p) => p.kind === 'core')
  if (core) {
    const size = (v: number, key: string) => build.catalogue!.text(build.catalogue!.field('core', key), v, settings.units)
    return `An air-to-air core, ${size(core.width_mm, 'width_mm').replace(/ .*$/, '')} × ${size(core.height_mm, 'height_mm').replace(/ .*$/, '')} × ${size(core.depth_mm, 'depth_mm').replace(' ', '\u00a0')}`
  }
  const field = build.catalogue!.field(c.part, c.key)
  const text = (v: number) => build.catalogue!.text(field, v, settings.units, true)
  const [first, ...rest] = field.label.split(' ')
  const ofPiece = c.piece.endsWith(` ${first}`) ? rest.join(' ') : field.label
  const name = field.label.startsWith(c.piece) || /^(radiator|water|face|filter|ice)/.test(field.label) ? field.label : `${c.piece} ${ofPiece}`
  const from = text(c.from).replace(/ .*$/, '')
  const to = text(c.to).replace(/ (?=\S+$)/, '\u00a0')
  return `${name.charAt(0).toUpperCase()}${name.slice(1)} ${from} → ${to}`
}

async function tryIt(c: ChangeView): Promise<void> {
  const line = words(c)
  const letter = freeLetter(build.document!.options)
  const label = `option from ${build.letter}: ${line}`
  if (!c.option) await build.addOption(line.charAt(0).toLowerCase() + line.slice(1), c.edits, label, asked.value)
  else if (letter) await build.putOption({ ...c.option, letter, name: 'air-to-air core' }, build.letter, label)
  await router.push({ name: 'endurance' })
}
</script>

<template>
  <aside class="verdict" aria-label="Verdict">
    <template v-if="build.answer?.fault">
      <h1 class="worse">No answer for this.</h1>
      <p class="lead" role="alert">{{ build.answer.fault.sentence }}</p>
    </template>
    <template v-else-if="verdict">
      <h1>{{ unbroken(says('HEADLINE')) }}</h1>
      <p class="lead">{{ says('PARTICULARS') }}</p>
      <p v-if="fitting" class="lead" :class="{ worse: !build.answer?.fit?.fits }">{{ unbroken(fitting) }}</p>
      <p v-if="joints.length" class="lead worse">
        {{ unbroken(say(joints[0]!, build.catalogue!.sentences, settings.units)) }}
        <RouterLink class="act" :to="{ name: 'pipes', query: $route.query, hash: '#joints' }">
          {{ joints.length > 1 ? `and ${joints.length - 1} more, on Pipes` : 'on Pipes' }}
        </RouterLink>
      </p>
      <template v-if="verdict.outcome !== 'NEVER_RUNS'">
        <p class="shape">{{ says('SHAPE') }}</p>
        <p v-if="says('BESIDE')" class="lead">{{ says('BESIDE') }}</p>
        <p class="lead">{{ says('WORTH') }} <KnowButton subject="/duty" of="the run through the duty" /></p>
      </template>
      <section v-if="parts.length">
        <h2>What limits it at the worst moment, {{ clock(verdict.worstTime_s) }}</h2>
        <div class="bar" role="img" :aria-label="parts.map((p) => `${p.name} ${p.percent.toFixed(0)} %`).join(', ')">
          <span v-for="p in parts" :key="p.name" :class="p.tone" :style="{ flexGrow: p.percent }">
            <template v-if="named(p)">{{ p.name }} {{ p.percent.toFixed(0) }} %</template>
          </span>
        </div>
        <p v-if="small" class="fine">{{ small }}</p>
        <p class="why">{{ says('LIMIT') }}</p>
      </section>
      <HowSure v-if="verdict.outcome !== 'NEVER_RUNS'" />
      <section v-if="changes.length || looking">
        <h2>Changes worth trying <span v-if="looking" class="quiet">looking</span></h2>
        <table v-if="changes.length">
          <thead class="hidden-words">
            <tr>
              <th>Change</th>
              <th>Worst intake</th>
              <th>Loss</th>
              <th>Try</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="c in changes" :key="c.piece + c.part + c.key">
              <td>
                {{ words(c) }}<small v-if="c.longer_s >= 5">keeps the target {{ span(c.longer_s) }} longer</small>
              </td>
              <td class="num" :class="c.worst_K < 0 ? 'better' : 'worse'">
                {{ change(c.worst_K, 'K', settings.units) || '0' }} {{ settings.units === 'us' ? '°F' : '°C' }}
              </td>
              <td
                class="num"
                :class="{
                  better: change(c.loss_kPa, 'kPa', settings.units).startsWith('−'),
                  worse: change(c.loss_kPa, 'kPa', settings.units).startsWith('+'),
                }"
              >
                {{ change(c.loss_kPa, 'kPa', settings.units) || '0' }} {{ settings.units === 'us' ? 'psi' : 'kPa' }}
              </td>
              <td class="num"><button type="button" class="act" :disabled="stale" :aria-label="`Try: ${words(c)}`" @click="tryIt(c)">Try</button></td>
            </tr>
          </tbody>
        </table>
        <p v-if="changes.length" class="fine">
          Each is run through the whole duty by itself. Core sizes at the same face air: a deeper core lets less through, so measure.
        </p>
      </section>
    </template>
    <section v-if="notes.length">
      <h2>Worth knowing</h2>
      <ul>
        <li v-for="(n, i) in notes" :key="i">{{ unbroken(say(n, build.catalogue!.sentences, settings.units)) }}</li>
      </ul>
    </section>
  </aside>
</template>

<style scoped>
.verdict {
  position: relative;
  padding: 18px 22px 28px;
  overflow-y: auto;
  background: var(--bench);
}
h1 {
  font-size: var(--s5);
  line-height: 1.15;
  font-weight: 700;
  font-stretch: 84%;
  letter-spacing: -0.005em;
  text-wrap: balance;
}
.lead {
  margin-top: 8px;
  color: var(--ink-2);
}
.lead.worse {
  color: var(--heat-text);
}
.shape {
  margin-top: 8px;
  font-weight: 600;
}
section {
  margin-top: 18px;
}
.bar {
  display: flex;
  height: 24px;
  margin-top: 6px;
}
.bar span {
  flex: 1 1 0;
  min-width: 3px;
  padding: 0 7px;
  overflow: hidden;
  font-size: var(--s1);
  font-weight: 600;
  line-height: 24px;
  white-space: nowrap;
  color: #fff;
}
.bar span:not(:has(*)):empty {
  padding: 0;
}
.heat {
  background: #b04a25;
}
.wall {
  background: #7f8e96;
}
.bar .wall {
  padding: 0;
}
.cool {
  background: #1b7573;
}
.cooler {
  background: #27596b;
}
.store {
  background: #4d5f8a;
}
.air {
  background: #8a6a2a;
}
.why {
  margin-top: 8px;
}
table {
  width: 100%;
  margin-top: 6px;
  border-collapse: collapse;
  border-top: 1px solid var(--rule);
}
td {
  padding: 8px 0 8px 10px;
  border-bottom: 1px solid var(--rule);
  vertical-align: baseline;
}
td:first-child {
  padding-left: 0;
}
small {
  display: block;
  font-size: var(--s1);
  color: var(--cool-text);
}
.num {
  text-align: right;
  white-space: nowrap;
  font-weight: 600;
}
.fine,
.quiet {
  margin-top: 6px;
  font-size: var(--s1);
  font-weight: 400;
  color: var(--ink-2);
}
ul {
  margin: 4px 0 0;
  padding: 0;
  list-style: none;
}
li {
  padding: 5px 0;
  border-bottom: 1px solid var(--rule);
}
li::first-letter {
  text-transform: uppercase;
}
</style>
