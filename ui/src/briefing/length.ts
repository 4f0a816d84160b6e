/** Longest briefing that is still listened to, in seconds. */
export const LONG_S = 120

/** Such as "1 min 24 s at 150 words a minute". */
export const lengthWords = (seconds: number): string => {
  const whole = Math.round(seconds)
  const min = Math.floor(whole / 60)
  const over = whole > LONG_S ? `, ${whole - LONG_S} s more than 2 min` : ''
  return `${min > 0 ? `${min} min ` : ''}${whole % 60} s at 150 words a minute${over}`
}
