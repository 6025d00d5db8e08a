import PrimeMenu from 'primevue/menu'
import PrimePopover from 'primevue/popover'
import PrimeSelect from 'primevue/select'

/** What the library's overlays have in common, as far as it is used here. */
interface Overlay {
  target?: HTMLElement | null
  container?: HTMLElement | null
  overlay?: HTMLElement | null
  $el: HTMLElement
  hide(): void
  letGo?: () => void
}

/**
 * A list that stays open, and where it is, while answers move the page under it. The library closes its overlays at every scroll, and an answer that
 * makes a table longer or shorter scrolls the page under the reader's hand; nor may the list go along then, for another line of it would be pressed.
 * It closes when the reader scrolls, or when the button it hangs on has gone.
 */
function steady<C>(component: C): C {
  const { methods } = component as { methods: object }
  return {
    ...component,
    methods: {
      ...methods,
      bindScrollListener(this: Overlay): void {
        const from = this.target ?? this.$el
        const scrolled = (event: Event): void => {
          if (!(this.container ?? this.overlay)?.contains(event.target as Node)) this.hide()
        }
        const gone = new MutationObserver(() => {
          if (from.isConnected) return
          this.letGo?.()
          this.hide()
        })
        gone.observe(document.body, { childList: true, subtree: true })
        const scrolls = ['wheel', 'touchmove'] as const
        scrolls.forEach((kind) => window.addEventListener(kind, scrolled, { passive: true }))
        this.letGo = () => {
          gone.disconnect()
          scrolls.forEach((kind) => window.removeEventListener(kind, scrolled))
        }
      },
      unbindScrollListener(this: Overlay): void {
        this.letGo?.()
      },
    },
  }
}

export const Menu = steady(PrimeMenu)
export const Popover = steady(PrimePopover)
export const Select = steady(PrimeSelect)
