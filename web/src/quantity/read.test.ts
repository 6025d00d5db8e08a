// @vitest-environment node
import { readFileSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import { catalogueView } from '../testing/catalogue'
import { Catalogue } from './catalogue'
import { read } from './read'

interface Case {
  text: string
  quantity: string
  unit: string
  si?: number
  refused?: string
}

/** The cases that the core's reader is tested on as well. */
const cases = JSON.parse(readFileSync('../formats/src/test/resources/quantity-cases.json', 'utf8')) as Case[]
const catalogue = new Catalogue(catalogueView)

describe('reading what people type', () => {
  it.each(cases)('"$text" as $quantity', (c) => {
    const reading = read(c.text, catalogue.quantity(c.quantity), catalogue.unit(c.quantity, c.unit))
    if (c.refused) expect(reading).toMatchObject({ refused: c.refused })
    else expect((reading as { si: number }).si / c.si!).toBeCloseTo(1, 8)
  })
})
