/** The parts of js-aruco2 that are used: it ships no types. */
declare module 'js-aruco2/src/aruco.js' {
  interface Point {
    x: number
    y: number
  }
  const library: {
    AR: {
      Dictionary: new (name: string) => { readonly codeList: readonly string[] }
      Detector: new (config: { dictionaryName: string; maxHammingDistance: number }) => {
        detect(image: { width: number; height: number; data: Uint8ClampedArray }): {
          id: number
          corners: Point[]
          hammingDistance: number
        }[]
      }
    }
  }
  export default library
}
