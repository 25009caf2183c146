/** How everything that is made of a practice joint begins: the title of its files, and of its pages. */
export const PRACTICE_MARK = 'PRACTICE, not for an aircraft';
