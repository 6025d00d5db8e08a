import type { JoinedView, JointsView } from '../api/client'
import { newIdentity, type Edit } from '../document/edit'
import type { BuildOption, Joints, JointsEnd, OtherJoint } from '../document/types'

type Made = Pick<OtherJoint, 'coupling' | 'clamp' | 'plain'>
type Usual = JointsView['usual']

const same = (a: Made, b: Made) => a.coupling === b.coupling && a.clamp === b.clamp && !!a.plain === !!b.plain

/** @returns how all are made that are not said to be otherwise, as a file says it */
function usualOf(option: BuildOption, usual: Usual): Joints {
  return option.joints ?? ({ coupling: usual.coupling, clamp: usual.clamp, ...(usual.beaded ? {} : { plain: true }) } as Joints)
}

/** All joints that are not said to be otherwise made so; what one of them bears is as is usual of its kind again where the kind is another. */
export function usualMade(option: BuildOption, at: string, usual: Usual, made: Partial<Made>): Edit {
  const was = usualOf(option, usual)
  const is: Joints = { ...was, ...made }
  if (is.coupling !== was.coupling) for (const own of ['across_mm', 'along_mm', 'bend_deg', 'most_C'] as const) delete is[own]
  if (!is.plain) delete is.plain
  is.others = is.others?.filter((o) => !same(o, is))
  if (!is.others?.length) delete is.others
  return { pointer: `${at}/joints`, value: is }
}

/** One joint made so; as all others it stands nowhere on its own. */
export function made(option: BuildOption, at: string, usual: Usual, of: string, end: JointsEnd, is: Made): Edit {
  const all = usualOf(option, usual)
  const others = (all.others ?? []).filter((o) => o.of !== of || o.end !== end)
  const id = all.others?.find((o) => o.of === of && o.end === end)?.id ?? newIdentity()
  if (!same(is, all)) others.push({ of, end, coupling: is.coupling, clamp: is.clamp, ...(is.plain ? { plain: true } : {}), id })
  return { pointer: `${at}/joints`, value: { ...all, others: others.length ? others : undefined } }
}

/** Joints as they were found to mend something, and what is hung elsewhere for it. */
export function joinedSo(option: BuildOption, at: string, joined: JoinedView): Edit[] {
  const hung = joined.hung.map((h): Edit => {
    const stand = option.stands![Number(h.place.split('/')[2])]!
    return { pointer: `${at}/stands/#${stand.id}/carrier`, value: h.carrier === 'body' ? undefined : h.carrier }
  })
  const joints = joined.joints as Joints | undefined
  const others = joints?.others?.map((o) => ({
    ...o,
    id: option.joints?.others?.find((was) => was.of === o.of && was.end === o.end)?.id ?? newIdentity(),
  }))
  return [...hung, { pointer: `${at}/joints`, value: joints && { ...joints, ...(others ? { others } : {}) } }]
}
