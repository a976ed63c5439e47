import type { CourseMark } from '../core/types'
import { toldAs } from '../play/events'

/** A part of a sentence as a sentence of its own. */
export const sentence = (text: string) => (text ? text[0].toUpperCase() + text.slice(1) : '')

/** Whether a mark of a walk's course is something that happens: neither a step, nor a rule that something else woke. */
export const happening = (c: CourseMark) => !!c.is && c.is !== 'rule'

/** What happened there, in words. */
export const toldOf = (c: CourseMark) => sentence(toldAs(c.is ?? '', c.name ?? ''))
