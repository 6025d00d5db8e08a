import { beforeEach, describe, expect, it, type Mock } from 'vitest'
import ChoiceField from '../ui/ChoiceField.vue'
import type { useBuild } from '../build/store'
import { listenedBuild, onScreen, surface } from '../testing/surface'
import SensorFields from './SensorFields.vue'

describe('the sensor', () => {
  let build: ReturnType<typeof useBuild>
  let edit: Mock

  beforeEach(() => {
    ;({ build, edit } = listenedBuild())
  })

  it('is known by its type, and a type writes its usual lag', async () => {
    for (const [lag, type] of [
      [0.5, 'bare wire'],
      [3, 'open tip'],
      [12, 'closed tip'],
    ] as const) {
      onScreen(build, { ...build.document!, targets: { ...build.document!.targets, sensorLag_s: lag } })
      const wrapper = await surface(SensorFields)
      expect(wrapper.findComponent(ChoiceField).props('shown')).toBe(type)
      wrapper.unmount()
    }
    const wrapper = await surface(SensorFields)
    wrapper.findComponent(ChoiceField).props('pick')!('closed tip', '')
    expect(edit, 'it is that already').not.toHaveBeenCalled()
    wrapper.findComponent(ChoiceField).props('pick')!('bare wire', '')
    expect(edit.mock.lastCall![0]).toEqual([{ pointer: '/targets/sensorLag_s', value: 0.5 }])
  })
})
