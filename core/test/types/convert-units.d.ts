declare module 'convert-units' {
  interface From {
    readonly from: (unit: string) => { readonly to: (unit: string) => number };
  }
  const convert: (amount: number) => From;
  export default convert;
}
