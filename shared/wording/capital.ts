/** As it begins a sentence or a label. */
export const capital = (s: string): string => s.charAt(0).toUpperCase() + s.slice(1)
