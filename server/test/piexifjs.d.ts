/** What the tests use of piexifjs, which brings no types. */
declare module 'piexifjs' {
  type Tags = Readonly<
    Record<
      | 'Make'
      | 'Orientation'
      | 'GPSLatitudeRef'
      | 'GPSLatitude'
      | 'GPSLongitudeRef'
      | 'GPSLongitude',
      number
    >
  >;
  const piexif: {
    readonly ImageIFD: Tags;
    readonly GPSIFD: Tags;
    readonly dump: (exif: object) => string;
    readonly insert: (exif: string, jpeg: string) => string;
  };
  export default piexif;
}
