<script setup lang="ts">
import { computed } from 'vue'
import { api, type WayOutView } from '../api/client'
import { useLookedUp } from '../build/lookedUp'
import { spoken } from '../quantity/catalogue'
import { useSettings } from '../settings/store'
import { GOES } from './ways'

/** The straight ways along which a body is put in and taken out, and what stands in each. */
const props = defineProps<{ place: string }>()
const emit = defineEmits<{ pick: [place: string] }>()
const settings = useSettings()
const { found, looking } = useLookedUp<WayOutView>(
  () => props.place,
  async (document, letter, dropped) => (await api.waysOut(document, letter, props.place, dropped)).ways,
)
const mm = (v: number) => spoken(Math.round(v), 'mm', settings.units)
const free = computed(() => found.value.filter((w) => !w.inWay.length))
const shut = computed(() => found.value.filter((w) => w.inWay.length))
/** Where nothing else is in the way, what would have to go. */
const cleared = computed(() => (free.value.length ? [] : shut.value.filter((w) => w.inWay.every((i) => i.movable))))
</script>

<template>
  <div class="out">
    <h3>In and out <span v-if="looking && !found.length" class="quiet">looking</span></h3>
    <p v-if="free.length">
      Comes out straight
      <template v-for="(w, i) in free" :key="w.way"
        >{{ i ? (i === free.length - 1 ? ' and ' : ', ') : '' }}<b>{{ GOES[w.way] }}</b> <small>({{ mm(w.length_mm) }})</small></template
      >.
    </p>
    <p v-else-if="found.length" class="worse">
      Comes out along no straight way{{ cleared.length ? ' as it is' : '' }}: it strikes something each way.
    </p>
    <p v-if="free.length && shut.length" class="else">The other ways it strikes something.</p>
    <ul v-if="shut.length" class="shut">
      <li v-for="w in shut" :key="w.way">
        <span class="way">{{ GOES[w.way] }}:</span>{{ ' ' }}
        <template v-for="(i, n) in w.inWay.slice(0, 3)" :key="i.place"
          >{{ n ? ', ' : '' }}<button type="button" class="act" @click="emit('pick', i.place)">{{ i.name }}</button> after
          {{ mm(i.after_mm) }}</template
        ><template v-if="w.inWay.length > 3"> and {{ w.inWay.length - 3 }} more</template
        ><template v-if="!free.length && w.inWay.every((i) => i.movable)">; all of it can be moved</template>
      </li>
    </ul>
    <p class="fine">The bonnet open, the car off the ground; hoses and hands are not counted.</p>
  </div>
</template>

<style scoped>
.shut {
  padding: 2px 0 0;
  margin: 0;
  columns: 2 340px;
  column-gap: 30px;
  list-style: none;
  color: var(--ink-2);
}
.shut li {
  break-inside: avoid;
  padding-block: 1px;
}
.else {
  color: var(--ink-2);
}
.way {
  font-weight: 600;
  color: var(--ink);
}
.shut .act {
  min-height: 24px;
  font-weight: 500;
}
small {
  color: var(--ink-2);
}
.quiet {
  font-weight: 400;
  color: var(--ink-2);
}
.worse {
  font-weight: 600;
  color: var(--heat-text);
}
.fine {
  padding-top: 2px;
  font-size: var(--s1);
  color: var(--ink-2);
}
</style>
