import { describe, expect, it } from 'vitest'
import { nextTick, ref } from 'vue'
import { holding, useZoom, zoomed } from './zoom'

describe('a part of a plot looked at closely', () => {
  it('keeps the moment looked at where it is', () => {
    expect(zoomed({ from: 0, to: 240 }, 240, 180, 0.5)).toEqual({ from: 90, to: 210 })
    expect(zoomed({ from: 90, to: 210 }, 240, 180, 0.5)).toEqual({ from: 135, to: 195 })
  })

  it('stays within the duty and ends at the whole', () => {
    expect(zoomed({ from: 200, to: 240 }, 240, 240, 2)).toEqual({ from: 160, to: 240 })
    expect(zoomed({ from: 100, to: 230 }, 240, 120, 2)).toBeUndefined()
    expect(zoomed({ from: 10, to: 12.5 }, 240, 11, 0.5)).toEqual({ from: 10.2, to: 12.2 })
  })

  it('follows the cursor no further than it must', () => {
    expect(holding({ from: 10, to: 20 }, 15)).toEqual({ from: 10, to: 20 })
    expect(holding({ from: 10, to: 20 }, 22)).toEqual({ from: 12, to: 22 })
    expect(holding({ from: 10, to: 20 }, 7)).toEqual({ from: 7, to: 17 })
  })

  it('is the whole again with another duty, and follows the cursor', async () => {
    const length = ref(240)
    const cursor = ref(60)
    const zoom = useZoom(length, cursor)
    zoom.closer()
    expect(zoom.window.value).toEqual({ from: 30, to: 150 })
    cursor.value = 160
    await nextTick()
    expect(zoom.window.value).toEqual({ from: 40, to: 160 })
    zoom.select(100, 90)
    expect(zoom.window.value).toEqual({ from: 90, to: 100 })
    length.value = 300
    await nextTick()
    expect(zoom.window.value).toBeUndefined()
  })
})
