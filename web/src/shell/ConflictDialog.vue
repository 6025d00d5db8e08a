<script setup lang="ts">
import Dialog from 'primevue/dialog'
import { computed } from 'vue'
import { useBuild } from '../build/store'

/** Two windows changed the same build: both sides, and both ways on. */
const build = useBuild()
const theirs = computed(() => build.conflict!)
const mine = computed(() => build.keeper!.unsent.undo)
const more = computed(() => build.keeper!.told.waiting - 1)
</script>

<template>
  <Dialog :visible="true" modal :closable="false" header="This build was changed in another window" :style="{ width: '520px' }">
    <dl>
      <dt>There</dt>
      <dd>
        {{ theirs.change }} <span>revision {{ theirs.revision }}, {{ new Date(theirs.changedAt).toLocaleTimeString() }}</span>
      </dd>
      <dt>Here</dt>
      <dd>
        {{ mine }} <span>{{ more > 0 ? `and ${more} more, not saved yet` : 'not saved yet' }}</span>
      </dd>
    </dl>
    <p>
      Going on with mine lays my changes over theirs. Going on with theirs puts mine into the history, where redo brings them back. Nothing is lost
      either way.
    </p>
    <div class="decide">
      <button type="button" class="act" @click="build.keepMine()">Go on with mine</button>
      <button type="button" class="act" @click="build.takeTheirs()">Go on with theirs</button>
    </div>
  </Dialog>
</template>

<style scoped>
dl {
  display: grid;
  grid-template-columns: 60px 1fr;
  margin: 0 0 14px;
}
dt,
dd {
  margin: 0;
  padding: 7px 0;
  border-bottom: 1px solid var(--hair);
}
dt {
  color: var(--ink-2);
}
dd {
  font-weight: 600;
}
dd span {
  font-weight: 400;
  color: var(--ink-2);
}
</style>
