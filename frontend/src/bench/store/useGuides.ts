import { useDesign } from './design'

/** Guides of the layout on the bench. */
export function useGuides() {
  const design = useDesign()
  return {
    put: (guide: string, axis: 'x' | 'y', at: number): Promise<boolean> =>
      design.send([{ do: 'guide.put', guide, layout: design.layout, axis, at }], `guide:${guide}`),
    remove: (guide: string): Promise<boolean> => design.send([{ do: 'guide.remove', guide }]),
  }
}
