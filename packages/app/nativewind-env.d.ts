/// <reference types="nativewind/types" />
declare module "*.ttf" {
  const asset: number;
  export default asset;
}
