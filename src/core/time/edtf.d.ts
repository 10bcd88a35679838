declare module "edtf" {
  export default function edtf(text: string): unknown;
}
