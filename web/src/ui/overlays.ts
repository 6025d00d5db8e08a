import PrimeMenu from 'primevue/menu'
import PrimePopover from 'primevue/popover'
import PrimeSelect from 'primevue/select'

/** What the library's overlays have in common, as far as it is used here. */
interface Overlay {
  target?: HTMLElement | null
  $el: HTMLElement
  alignOverlay(): void
  hide(): void
  following?: number
}

/**
 * A list that stays open while answers move the page under it. The library closes its overlays at every scroll, and an answer that makes a
 * table longer or shorter scrolls the page under the reader's hand: the list goes along with its button instead, and closes when that is gone or
 * out of sight.
 */
function following<C>(component: C): C {
  const { methods } = component as { methods: object }
  return {
    ...component,
    methods: {
      ...methods,
      bindScrollListener(this: Overlay): void {
        const from = this.target ?? this.$el
        let seen = from.getBoundingClientRect()
        const look = (): void => {
          const now = from.getBoundingClientRect()
          if (!from.isConnected || now.bottom < 0 || now.top > window.innerHeight) return this.hide()
          if (now.left !== seen.left || now.top !== seen.top) this.alignOverlay()
          seen = now
          this.following = requestAnimationFrame(look)
        }
        this.following = requestAnimationFrame(look)
      },
      unbindScrollListener(this: Overlay): void {
        if (this.following !== undefined) cancelAnimationFrame(this.following)
      },
    },
  }
}

export const Menu = following(PrimeMenu)
export const Popover = following(PrimePopover)
export const Select = following(PrimeSelect)
