declare module 'vin-validator' {
  const vinValidator: { readonly validate: (vin: string) => boolean };
  export default vinValidator;
}
