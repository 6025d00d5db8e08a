import { flushPromises, mount, type VueWrapper } from '@vue/test-utils'
import { createPinia, setActivePinia } from 'pinia'
import { vi, type Mock } from 'vitest'
import PrimeVue from 'primevue/config'
import type { Component } from 'vue'
import { createMemoryHistory, createRouter } from 'vue-router'
import { Keeper } from '../build/keeper'
import { useBuild } from '../build/store'
import { apply, identity, type Edit } from '../document/edit'
import { newPiece } from '../document/pieces'
import type { BuildDocument, Piece } from '../document/types'
import { Catalogue, type FieldView } from '../quantity/catalogue'
import { catalogueView } from './catalogue'
import { steadyView } from './steady'

/** A catalogue that knows every field by a plain length: the surfaces are tested for what they do, the server's test holds the real fields. */
export class AnyField extends Catalogue {
  override field(part: string, key: string): FieldView {
    return { part, key, label: key, quantity: 'LENGTH', unit: 'mm', min: 0, max: 9999, usual: 10, source: 'test' } as FieldView
  }
}

/** A path of the usual six pieces, as {@link steadyView} answers it. */
export function usualPath(): Piece[] {
  const core = newPiece('core', 57, 'core')
  return [
    newPiece('filter', 70, 'filter'),
    newPiece('blower', 51, 'turbo'),
    newPiece('pipe', 51, 'hot pipe'),
    core,
    newPiece('pipe', 57, 'cold pipe'),
    newPiece('plenum', 60, 'plenum'),
  ]
}

/** @returns a copy whose rows are r1, r2 and so on in their lists */
export function counted<T>(value: T): T {
  const copy = structuredClone(value)
  const walk = (node: unknown): void => {
    if (node === null || typeof node !== 'object') return
    if (Array.isArray(node))
      node.forEach((row, i) => row !== null && typeof row === 'object' && identity(row) === undefined && (row.id = `r${i + 1}`))
    Object.values(node).forEach(walk)
  }
  walk(copy)
  return copy
}

/** Puts another document on screen, with its rows counted. */
export function onScreen(build: ReturnType<typeof useBuild>, document: unknown): void {
  build.keeper = new Keeper('test', counted(document) as BuildDocument, { id: 7, revision: 1 })
}

/** @returns the document as the last edits heard would make it */
export function asEdited(build: ReturnType<typeof useBuild>, edit: Mock): BuildDocument {
  return apply(build.document!, edit.mock.lastCall![0] as Edit[])
}

/** A build on screen with one option, answered, without a server. */
export function buildOnScreen(path: Piece[] = usualPath(), more: object = {}): ReturnType<typeof useBuild> {
  localStorage.clear()
  setActivePinia(createPinia())
  const build = useBuild()
  build.catalogue = new AnyField(catalogueView)
  const document = counted({
    name: 'Bench',
    summary: '',
    engine: { displacement_L: 2 },
    climate: {},
    targets: { intake_C: 50, timingPull_C: 65 },
    fullLoad: { engineSpeed_rpm: 5000, roadSpeed_km_h: 100 },
    duty: { name: 'hold', boostFollowsBrief: true, startAbove_K: 5, repeats: 1, wait_s: 0, rows: [] },
    options: [{ letter: 'A', name: 'first', boost_kPa: 90, path }],
    ...more,
  }) as unknown as BuildDocument
  onScreen(build, document)
  build.answers = { A: { option: 'A', steady: steadyView([34, 38, 187, 187, 49, 49, 49]) } }
  return build
}

/** {@link buildOnScreen} whose edits are listened to instead of made. */
export function listenedBuild(path?: Piece[], more?: object): { build: ReturnType<typeof useBuild>; edit: Mock } {
  window.matchMedia = vi.fn().mockReturnValue({ matches: false, addEventListener: vi.fn(), removeEventListener: vi.fn(), addListener: vi.fn() })
  const build = buildOnScreen(path, more)
  const edit = vi.fn().mockResolvedValue({ done: true })
  build.edit = edit as unknown as typeof build.edit
  build.here = (() => ({ edit, act: edit })) as unknown as typeof build.here
  return { build, edit }
}

/** @returns a surface mounted with the routes it links to */
export async function surface(component: Component, query: Record<string, string> = {}): Promise<VueWrapper> {
  const page = { template: '<i/>' }
  const router = createRouter({
    history: createMemoryHistory(),
    routes: [
      { path: '/', name: 'home', component: page },
      ...['brief', 'space', 'core', 'water', 'pipes', 'endurance'].map((name) => ({ path: `/${name}`, name, component: page })),
    ],
  })
  await router.push({ name: 'pipes', query })
  const wrapper = mount(component, { global: { plugins: [router, PrimeVue], stubs: { teleport: true } } })
  await flushPromises()
  return wrapper
}
