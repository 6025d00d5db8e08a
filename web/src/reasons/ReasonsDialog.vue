<script setup lang="ts">
import Dialog from 'primevue/dialog'
import { useBuild } from '../build/store'
import { useSettings } from '../settings/store'
import { told } from './figure'
import { useReasons } from './store'

/** Every number of one piece: what came out, what went in, the formula, its range, whose it is and what it leaves out. */
const reasons = useReasons()
const build = useBuild()
const settings = useSettings()
</script>

<template>
  <Dialog v-model:visible="reasons.visible" modal dismissable-mask :header="`How do you know? ${reasons.title}`" class="reasons" :draggable="false">
    <p v-if="reasons.failure" class="worse">{{ reasons.failure }}</p>
    <p v-else-if="!reasons.reasons.length">Working it out</p>
    <article v-for="(r, i) in reasons.reasons" :key="i">
      <h3>
        <span>{{ r.result.name }}</span> <b>{{ told(r.result, build.catalogue!, settings.units) }}</b>
      </h3>
      <dl class="numbers">
        <div v-for="n in r.numbers" :key="n.name">
          <dt>{{ n.name }}</dt>
          <dd>{{ told(n, build.catalogue!, settings.units) }}</dd>
        </div>
      </dl>
      <div v-if="reasons.method(r.method)" class="method">
        <p>{{ reasons.method(r.method)!.says }}</p>
        <pre v-if="reasons.method(r.method)!.formula.length"><code>{{ reasons.method(r.method)!.formula.join('\n') }}</code></pre>
        <p v-if="reasons.method(r.method)!.ranges.length"><i>Holds for</i> {{ reasons.method(r.method)!.ranges.join('; ') }}.</p>
        <p><i>Source</i> {{ reasons.method(r.method)!.sources.join('; ') }}.</p>
        <p v-if="reasons.method(r.method)!.leavesOut"><i>Leaves out</i> {{ reasons.method(r.method)!.leavesOut }}</p>
      </div>
    </article>
  </Dialog>
</template>

<style>
.reasons {
  width: min(880px, 92vw);
}
</style>
<style scoped>
article {
  display: grid;
  grid-template-columns: 250px minmax(0, 1fr);
  column-gap: 30px;
  padding: 12px 0 14px;
  border-bottom: 1px solid var(--hair);
}
h3 {
  grid-column: 1 / -1;
  display: flex;
  align-items: baseline;
  gap: 10px;
  margin: 0 0 4px;
  font-size: var(--s3);
  font-weight: 500;
}
h3 b {
  font-weight: 700;
  font-stretch: 112%;
}
dl {
  margin: 0;
}
.numbers div {
  display: flex;
  justify-content: space-between;
  gap: 12px;
  padding: 2px 0;
}
dt {
  color: var(--ink-2);
}
dd {
  margin: 0;
  font-weight: 600;
  white-space: nowrap;
}
.method {
  display: grid;
  gap: 5px;
  color: var(--ink-2);
}
.method i {
  color: var(--ink);
  font-style: normal;
  font-weight: 600;
}
pre {
  margin: 2px 0;
  padding: 6px 0 6px 12px;
  border-left: 2px solid var(--rule);
  white-space: pre-wrap;
  color: var(--ink);
}
code {
  font: inherit;
  font-family: var(--font);
  font-stretch: 100%;
}
</style>
