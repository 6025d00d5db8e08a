import { computed, type WritableComputedRef } from 'vue'
import { useRoute, useRouter } from 'vue-router'

/** A choice that stands in the address, so that a reload and a link bring it back; the usual one is left out of it. */
export function useRouteQuery(key: string, usual: string): WritableComputedRef<string> {
  const route = useRoute()
  const router = useRouter()
  return computed({
    get: () => String(route.query[key] ?? usual),
    set: (value) => void router.replace({ query: { ...route.query, [key]: value === usual ? undefined : value } }),
  })
}
