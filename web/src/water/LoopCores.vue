<script setup lang="ts">
import { computed } from 'vue'
import { api, type LoopView } from '../api/client'
import { useRemaking } from '../build/remaking'
import { useBuild } from '../build/store'
import { ofKind, onLoopOf, type Placed } from '../document/pieces'
import { coolingSideOnLoopWords, type CorePiece } from '../document/types'
import { spoken } from '../quantity/catalogue'
import { useSettings } from '../settings/store'
import ChoiceField from '../ui/ChoiceField.vue'
import Notice from '../ui/Notice.vue'

/** The cores on a loop with what each gets of its water; others can be put on it, and off it again. */
const props = defineProps<{ lead: string; view?: LoopView }>()
const build = useBuild()
const settings = useSettings()
const { busy, failed, remake } = useRemaking()
const cores = computed(() => ofKind(build.option!, 'core'))
const hanging = computed(() => onLoopOf(build.option!, props.lead))
const rest = computed(() => cores.value.filter((c) => c.piece.name !== props.lead && c.piece.sharesLoop?.core !== props.lead))
const all = computed(() => [cores.value.find((c) => c.piece.name === props.lead)!, ...hanging.value])
const flowing = (c: Placed<CorePiece>) => props.view?.cores.find((v) => v.place === c.place)

function join(c: Placed<CorePiece>): void {
  void remake(
    (document, letter) => api.sharedLoop(document, letter, c.place, { with: props.lead, stands: 'beside' }),
    `${c.piece.name} on the loop of the ${props.lead}`,
  )
}

function part(c: Placed<CorePiece>): void {
  void remake((document, letter) => api.sharedLoop(document, letter, c.place, null), `${c.piece.name} on a loop of its own`)
}
</script>

<template>
  <section v-if="cores.length > 1" class="cores">
    <table v-if="hanging.length" class="figures">
      <caption>
        Cores on this loop
      </caption>
      <thead>
        <tr>
          <th scope="col">core</th>
          <th scope="col">stands</th>
          <th scope="col">water</th>
          <th scope="col">in</th>
          <th scope="col">out</th>
          <th scope="col">heat</th>
          <td></td>
        </tr>
      </thead>
      <tbody>
        <tr v-for="(c, i) in all" :key="c.at">
          <th scope="row">{{ c.piece.name }}</th>
          <td>
            <template v-if="i === 0">first</template>
            <ChoiceField
              v-else
              :label="`${c.piece.name} stands`"
              bare
              :pointer="`${build.optionAt}${c.at}/sharesLoop/stands`"
              :choices="coolingSideOnLoopWords"
              fallback="beside"
            />
          </td>
          <template v-if="flowing(c)">
            <td>{{ spoken(flowing(c)!.flow_L_min, 'L_min', settings.units) }}</td>
            <td>{{ spoken(flowing(c)!.in_C, 'C', settings.units) }}</td>
            <td>{{ spoken(flowing(c)!.out_C, 'C', settings.units) }}</td>
            <td>{{ spoken(flowing(c)!.heat_kW, 'kW', settings.units) }}</td>
          </template>
          <td v-else colspan="4"></td>
          <td>
            <button v-if="i > 0" type="button" class="act" :disabled="busy" :aria-label="`Give ${c.piece.name} a loop of its own`" @click="part(c)">
              a loop of its own
            </button>
          </td>
        </tr>
      </tbody>
    </table>
    <p v-if="rest.length" class="join">
      On this loop too:
      <button v-for="c in rest" :key="c.at" type="button" class="act" :disabled="busy" @click="join(c)">the {{ c.piece.name }}</button>
      <span v-if="rest.some((c) => c.piece.cooledBy === 'air')" class="quiet">one that air cools becomes a core like the {{ lead }}</span>
    </p>
    <Notice v-if="failed" :says="failed" />
  </section>
</template>

<style scoped>
.cores {
  padding: 10px 0 4px;
}
caption {
  padding-bottom: 2px;
  font-weight: 700;
  text-align: left;
}
.figures td:nth-child(2),
.figures th:nth-child(2) {
  text-align: left;
}
td {
  font-weight: 600;
}
.cores table {
  max-width: 760px;
}
.join {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 18px;
  padding-top: 8px;
}
.quiet {
  color: var(--ink-2);
}
</style>
