import { ref, type Ref } from 'vue'
import type { TimeAxis } from './timeAxis'
import type { useZoom } from './zoom'

/** What a pointer or a key does on a time plot: the plot itself moves the cursor, its axis marks a stretch to look at closely. */
export function useTimePointer(plot: {
  box: Ref<HTMLElement | undefined>
  axis: Ref<TimeAxis>
  zoom: ReturnType<typeof useZoom>
  cursor: Ref<number>
  length: () => number
  /** Edges of the plot and of the band that its axis takes, px. */
  edges: () => { left: number; right: number; axisTop: number; axisBottom: number }
}) {
  const dragging = ref(false)
  /** The stretch being marked, px. */
  const marking = ref<{ from: number; to: number }>()
  const pixel = (event: MouseEvent) => event.clientX - plot.box.value!.getBoundingClientRect().left
  const moment = (event: MouseEvent) => plot.axis.value.time(pixel(event))
  const held = (px: number) => Math.min(Math.max(px, plot.edges().left), plot.edges().right)

  function onAxis(event: MouseEvent): boolean {
    const py = event.clientY - plot.box.value!.getBoundingClientRect().top
    return py > plot.edges().axisTop && py < plot.edges().axisBottom
  }

  function move(event: PointerEvent): void {
    if (marking.value) marking.value = { ...marking.value, to: held(pixel(event)) }
    else if (dragging.value) plot.cursor.value = moment(event)
  }

  function down(event: PointerEvent): void {
    ;(event.currentTarget as Element).setPointerCapture(event.pointerId)
    if (onAxis(event)) marking.value = { from: held(pixel(event)), to: held(pixel(event)) }
    else {
      dragging.value = true
      move(event)
    }
  }

  function up(): void {
    dragging.value = false
    const m = marking.value
    marking.value = undefined
    if (m && Math.abs(m.to - m.from) > 6) plot.zoom.select(plot.axis.value.time(m.from), plot.axis.value.time(m.to))
  }

  function twice(event: MouseEvent): void {
    if (!onAxis(event)) plot.zoom.closer(moment(event))
  }

  /** With the key held that turns a wheel into looking closer; two fingers on a pad come as the same. */
  function wheel(event: WheelEvent): void {
    if (!event.ctrlKey) return
    event.preventDefault()
    if (event.deltaY < 0) plot.zoom.closer(moment(event))
    else plot.zoom.wider(moment(event))
  }

  function keys(event: KeyboardEvent): void {
    const { zoom, cursor } = plot
    const looked = zoom.window.value
    const length = plot.length()
    const inSight = looked ? looked.to - looked.from : length
    const step = (event.shiftKey ? inSight / 20 : inSight / 200) * (event.key === 'ArrowLeft' ? -1 : event.key === 'ArrowRight' ? 1 : 0)
    if (step) {
      event.preventDefault()
      cursor.value = Math.min(Math.max(cursor.value + step, 0), length)
    } else if (event.key === 'Home') cursor.value = 0
    else if (event.key === 'End') cursor.value = length
    else if (event.key === '+' || event.key === '=') zoom.closer()
    else if (event.key === '-') zoom.wider()
    else if (event.key === '0') zoom.all()
  }

  return { marking, move, down, up, twice, wheel, keys }
}
