/** The reader that tests compare with; it ships without types. */
declare module 'webvtt-parser' {
  export class WebVTTParser {
    parse(
      text: string,
      mode: 'metadata',
    ): {
      readonly cues: readonly {
        readonly startTime: number;
        readonly endTime: number;
        readonly text: string;
      }[];
      readonly errors: readonly unknown[];
    };
  }
  const all: { readonly WebVTTParser: typeof WebVTTParser };
  export default all;
}
