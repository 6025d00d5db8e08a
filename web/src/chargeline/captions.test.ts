// @vitest-environment node
import { describe, expect, it } from 'vitest'
import { apart, type Caption } from './captions'

const core: Caption = { title: 'core 240 × 110 × 110 mm', price: '62 % of the way down · 4.2 kPa · 11.6 kW', x: 530, y: 60, core: true }
const pipe = (x: number, y: number, price = '0.1 kPa · 1 bend'): Caption => ({ title: 'riser 63 mm OD', price, x, y, core: false })

describe('captions of the charge line', () => {
  it('stand where they were when nothing touches', () => {
    expect(apart([pipe(200, 60), core, pipe(900, 60)])).toHaveLength(3)
    expect(apart([core, pipe(600, 140)]), 'below it').toHaveLength(2)
  })

  it('give up their price beside a core, then themselves', () => {
    expect(apart([core, pipe(860, 76)])[1]).toMatchObject({ title: 'riser 63 mm OD', price: '' })
    expect(apart([core, pipe(730, 76)])).toEqual([core])
  })

  it('give way to each other in the order of the air', () => {
    expect(apart([pipe(100, 60), pipe(180, 60)])).toHaveLength(1)
  })

  it('of cores give up prices before names', () => {
    const core = (title: string, x: number, y: number) => ({ title, price: '77 % of the way down', x, y, core: true })
    expect(apart([core('core 285', 0, 40), core('core 2', 400, 40)]).map((c) => c.price)).toEqual(['77 % of the way down', '77 % of the way down'])
    expect(apart([core('core 285', 0, 40), core('core 2', 60, 56)])).toEqual([{ ...core('core 285', 0, 40), price: '' }, core('core 2', 60, 56)])
    expect(apart([core('core 285', 0, 40), core('core 2', 10, 40)]).map((c) => c.title)).toEqual(['core 285'])
  })
})
