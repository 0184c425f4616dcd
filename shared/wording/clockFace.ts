/** A clock angle as a time of day, to the quarter hour: `3`, `4:45`. For marks that are found, not chosen. */
export const clockFace = (degrees: number): string => {
  const quarters = Math.round((((degrees % 360) + 360) % 360) / 7.5) % 48
  const hour = Math.floor(quarters / 4) || 12
  const minutes = (quarters % 4) * 15
  return minutes === 0 ? String(hour) : `${hour}:${minutes}`
}
