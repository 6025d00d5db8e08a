// @vitest-environment node
import { describe, expect, it } from 'vitest'
import { Catalogue } from '../quantity/catalogue'
import { catalogueView } from '../testing/catalogue'
import { significant, told } from './figure'

describe('reasons', () => {
  it('give four digits and no exponent for ordinary sizes', () => {
    expect([0, 0.123456, 12.3456, 1234.56, -0.00567, 0.00000123].map(significant)).toEqual(['0', '0.1235', '12.35', '1235', '−0.00567', '1.2e−6'])
  })

  it('tell a number in the unit of the reader', () => {
    const catalogue = new Catalogue(catalogueView)
    expect(told({ name: 'loss', si: 1234.5, quantity: 'PRESSURE' }, catalogue, 'metric')).toBe('1.234 kPa')
    expect(told({ name: 'loss', si: 6894.757, quantity: 'PRESSURE' }, catalogue, 'us')).toBe('1 psi')
    expect(told({ name: 'charge out', si: 323.15, quantity: 'TEMPERATURE' }, catalogue, 'metric')).toBe('50 °C')
    expect(told({ name: 'NTU', si: 2.34567, quantity: 'NUMBER' }, catalogue, 'us')).toBe('2.346')
  })
})
