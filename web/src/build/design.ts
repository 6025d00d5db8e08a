import { defineStore } from 'pinia'
import { computed } from 'vue'
import { sameDesign } from '../document/edit'
import type { BuildDocument } from '../document/types'
import { useBuild } from './store'

/** The document on screen as far as answers hang on it: the same one as long as only what is written down about the car changes. */
export const useDesign = defineStore('design', () => {
  const build = useBuild()
  const document = computed<BuildDocument | undefined>((before) => {
    const now = build.document
    return before && now && sameDesign(before, now) ? before : now
  })
  return { document }
})
