import {useCallback, useState} from 'react'

/** The width of an element in px, kept up to date, and what to give the element as its `ref`. */
export function useWidth(): [number, (element: HTMLElement | null) => (() => void) | undefined] {
  const [width, setWidth] = useState(0)
  const measure = useCallback((element: HTMLElement | null) => {
    if (element === null) return undefined
    const observer = new ResizeObserver(() => setWidth(element.clientWidth))
    observer.observe(element)
    return () => observer.disconnect()
  }, [])
  return [width, measure]
}
