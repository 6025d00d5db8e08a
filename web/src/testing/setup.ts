import { disableAutoUnmount, enableAutoUnmount } from '@vue/test-utils'
import { afterEach } from 'vitest'

/** What a browser has and the tests' page has not. */
class NoSizes implements ResizeObserver {
  observe(): void {}
  unobserve(): void {}
  disconnect(): void {}
}

globalThis.ResizeObserver ??= NoSizes
globalThis.matchMedia ??= (query: string) =>
  ({ matches: false, media: query, addEventListener: () => {}, removeEventListener: () => {} }) as unknown as MediaQueryList

// All files of a worker share one page: what stays on it goes on listening, and answers for the next.
disableAutoUnmount()
enableAutoUnmount(afterEach)
