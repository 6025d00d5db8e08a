import { Select } from '../ui/overlays'
import { flushPromises } from '@vue/test-utils'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { api, type DutyView, type LogHead, type LogView } from '../api/client'
import { useBuild } from '../build/store'
import { apply } from '../document/edit'
import type { DutyPiece } from '../document/types'
import { buildOnScreen, onScreen, surface } from '../testing/surface'
import DutyEditor from './DutyEditor.vue'

const pieces: DutyPiece[] = [
  { kind: 'wait', time_s: 20, idling: true },
  { kind: 'pull', time_s: 12, roadSpeed_km_h: 130, boost_kPa: 100 },
  {
    kind: 'repeat',
    times: 2,
    pieces: [
      { kind: 'brake', time_s: 4, roadSpeed_km_h: 60 },
      { kind: 'hold', time_s: 5, roadSpeed_km_h: 60, boost_kPa: 10 },
    ],
  },
]
const view: DutyView = {
  length_s: 50,
  whole_s: 50,
  time_s: [0, 20, 32, 50],
  engineSpeed_rpm: [850, 850, 6000, 3000],
  boost_kPa: [-60, -60, 90, 10],
  roadSpeed_km_h: [0, 0, 130, 60],
  pieceEnds_s: [20, 32, 50],
}

describe('the duty editor', () => {
  beforeEach(() => {
    vi.restoreAllMocks()
    vi.stubGlobal('matchMedia', () => ({ matches: false, addEventListener: () => {}, removeEventListener: () => {} }))
    const build = buildOnScreen()
    onScreen(build, { ...build.document!, duty: { ...build.document!.duty, rows: undefined, pieces } })
    vi.spyOn(api, 'dutyRows').mockResolvedValue(view)
  })

  async function open() {
    const editor = await surface(DutyEditor)
    await vi.waitFor(() => expect(api.dutyRows).toHaveBeenCalled())
    await flushPromises()
    const act = vi.spyOn(useBuild(), 'act').mockResolvedValue({ done: true })
    const kinds = (call: number) => apply(useBuild().document!, act.mock.calls[call]![0]).duty.pieces!.map((p) => p.kind)
    return { editor, act, kinds }
  }

  it('shows every piece, those of a repeat inside it', async () => {
    const { editor } = await open()
    expect(editor.findAll('li [role=button]').map((piece) => piece.attributes('aria-label'))).toEqual([
      'Piece 1: wait idling, 20 s',
      'Piece 2: pull to 130 km/h, 12 s',
      'Piece 3: repeat 2 times, 0:18',
      'Piece 1: brake to 60 km/h, 4 s',
      'Piece 2: hold 60 km/h, 5 s',
    ])
    expect(editor.find('h2').text()).toContain('50 s')
  })

  it('puts a piece in behind the chosen one, takes it out, repeats it', async () => {
    const { editor, act, kinds } = await open()
    await editor.find('[aria-label^="Piece 2: pull"]').trigger('keydown', { key: 'Enter' })
    await editor.find('[aria-label^="Put in: climb"]').trigger('click')
    await flushPromises()
    expect(kinds(0)).toEqual(['wait', 'pull', 'climb', 'repeat'])
    await editor.find('[aria-label^="Piece 2: pull"]').trigger('keydown', { key: 'Enter' })
    await editor
      .findAll('button')
      .find((b) => b.text() === 'take it out')!
      .trigger('click')
    await flushPromises()
    expect(kinds(1)).toEqual(['wait', 'repeat'])
    await editor.find('[aria-label^="Piece 2: pull"]').trigger('keydown', { key: 'Enter' })
    await editor
      .findAll('button')
      .find((b) => b.text() === 'repeat it')!
      .trigger('click')
    await flushPromises()
    expect(apply(useBuild().document!, act.mock.calls[2]![0]).duty.pieces![1]).toMatchObject({ kind: 'repeat', times: 2, pieces: [pieces[1]] })
  })

  it('moves a piece by the keyboard, also inside a repeat', async () => {
    const { editor, act, kinds } = await open()
    await editor.find('[aria-label^="Piece 1: wait"]').trigger('keydown', { key: 'ArrowRight', altKey: true })
    await flushPromises()
    expect(kinds(0)).toEqual(['pull', 'wait', 'repeat'])
    await editor.find('[aria-label^="Piece 2: hold"]').trigger('keydown', { key: 'ArrowLeft', altKey: true })
    await flushPromises()
    expect(apply(useBuild().document!, act.mock.calls[1]![0]).duty.pieces![2]).toMatchObject({ pieces: [{ kind: 'hold' }, { kind: 'brake' }] })
  })

  it('takes a duty of the library and says why it cannot be had', async () => {
    const { editor, act } = await open()
    const duty = { name: 'laps', boostFollowsBrief: true, startAbove_K: 10, repeats: 1, wait_s: 0, pieces }
    const library = vi.spyOn(api, 'dutyLibrary').mockResolvedValue({ entries: [{ name: 'laps', says: 'twelve laps', duty }] })
    await editor.find('[aria-expanded]').trigger('click')
    await flushPromises()
    await editor.find('[aria-label="Take: laps"]').trigger('click')
    expect(act).toHaveBeenCalledWith([{ pointer: '/duty', value: duty }], 'duty: laps')
    library.mockRejectedValue(new Error('not now'))
    await flushPromises()
    await editor.find('[aria-expanded]').trigger('click')
    await flushPromises()
    expect(editor.find('[role=alert]').text()).toBe('not now')
  })

  it('builds laps and refuses what is no number', async () => {
    const { editor, act } = await open()
    const laps = vi.spyOn(api, 'laps').mockResolvedValue({
      name: '12 laps',
      says: '',
      duty: { name: '12 laps', boostFollowsBrief: true, startAbove_K: 5, repeats: 1, wait_s: 0, pieces },
    })
    await editor.findAll('[aria-expanded]')[1]!.trigger('click')
    const numbers = useBuild().catalogue!
    vi.spyOn(numbers, 'quantity').mockImplementation(
      (q) =>
        ({
          quantity: q,
          si: '',
          units: [{ symbol: q === 'TIME' ? 's' : q === 'SPEED' ? 'km/h' : '', factor: 1, offset: 0, alsoWritten: [] }],
        }) as never,
    )
    await editor.find('[aria-label="corners"]').setValue('five')
    await editor.find('form').trigger('submit')
    await flushPromises()
    expect(editor.find('.laps [role=alert]').text()).toContain('Corners: "five" is not a number')
    await editor.find('[aria-label="corners"]').setValue('5')
    await editor.find('form').trigger('submit')
    await flushPromises()
    expect(laps.mock.calls[0]![1]).toEqual({ lap_s: 90, corners: 5, fast_km_h: 180, slow_km_h: 80, laps: 12 })
    expect(act.mock.calls[0]![1]).toBe('duty: 12 laps')
  })

  it('reads a log by its guessed columns, tells its gaps, and takes it', async () => {
    const { editor, act } = await open()
    vi.spyOn(api, 'logColumns').mockResolvedValue({
      headings: ['Time', 'RPM', 'Boost'],
      roles: [
        { role: 'TIME', words: 'time', units: ['s', 'min'], column: 0, unit: 's' },
        { role: 'BOOST', words: 'boost', units: ['kPa', 'psi'], column: 2, unit: 'psi' },
        { role: 'THROTTLE', words: 'throttle', units: ['%'] },
      ],
    } as LogHead)
    const rows = [
      { time_s: 0, engineSpeed_rpm: 3000, boost_kPa: 0, roadSpeed_km_h: 0 },
      { time_s: 9, engineSpeed_rpm: 6000, boost_kPa: 80, roadSpeed_km_h: 0 },
    ]
    const log = vi.spyOn(api, 'log').mockResolvedValue({
      rows,
      kept: 2,
      read: 1_800_000,
      repeated: 3,
      gaps: [{ line: 52, from_s: 61, seconds: 12 }],
      tolerance: 4,
      length_s: 36_000,
      highestBoost_kPa: 80,
    } as LogView)
    await editor.findAll('[aria-expanded]')[2]!.trigger('click')
    const input = editor.find<HTMLInputElement>('input[type=file]')
    Object.defineProperty(input.element, 'files', { value: [new File(['Time,RPM,Boost\n'], 'run 4.csv')] })
    await input.trigger('change')
    await vi.waitFor(() => expect(log).toHaveBeenCalled())
    await flushPromises()
    expect(log.mock.calls[0]![1].get('columns')).toBe('TIME:0:s,BOOST:2:psi')
    expect(editor.text()).toContain('1,800,000 rows, 10:00:00; 2 of them kept')
    expect(editor.text()).toContain('Line 52: a gap of 12.0 s at 1:01')
    expect(editor.text()).toContain('4 times more loosely')
    const unit = async (word: string) => {
      const select = editor
        .findAllComponents(Select)
        .find((s) => s.attributes('aria-label') === 'Unit of boost' || s.props('ariaLabel') === 'Unit of boost')!
      select.vm.$emit('update:modelValue', word)
      select.vm.$emit('change', { value: word })
    }
    log.mockRejectedValueOnce(new Error('log file, line 412, Time is 3 s'))
    await unit('kPa')
    await flushPromises()
    expect(editor.find('.log [role=alert]').text()).toContain('line 412')
    await unit('psi')
    await flushPromises()
    await editor
      .findAll('button')
      .find((b) => b.text() === 'Take it as the duty')!
      .trigger('click')
    expect(apply(useBuild().document!, act.mock.calls[0]![0]).duty).toMatchObject({ name: 'run 4', boostFollowsBrief: false, rows })
  })
})
