import type uPlot from 'uplot'

/** How every plot is dressed where it stands, by day and by night. */
export const plotLook = (on: HTMLElement) => {
  const style = getComputedStyle(on)
  const colour = (name: string) => style.getPropertyValue(name)
  const axis: uPlot.Axis = {
    stroke: colour('--soft'),
    grid: { stroke: colour('--rule'), width: 1 },
    ticks: { stroke: colour('--rule') },
    font: `14px ${style.fontFamily}`,
  }
  return { colour, axis }
}

/** Keeps a plot as wide as its place. @returns what ends it */
export const kept = (plot: uPlot, on: HTMLElement, height: number): (() => void) => {
  const resized = new ResizeObserver(() => plot.setSize({ width: on.clientWidth, height }))
  resized.observe(on)
  return () => {
    resized.disconnect()
    plot.destroy()
  }
}
