import { Image, View } from "react-native";
import { usePictureAt } from "../photos/usePicture";

/** The company's mark, whole. */
export function CompanyMark({ id, className }: { readonly id: string; readonly className: string }) {
  const { url } = usePictureAt(`/company/marks/${id}`, id);
  if (!url) return <View className={className} />;
  return (
    <Image
      source={{ uri: url }}
      role="img"
      aria-label="The company's mark"
      resizeMode="contain"
      className={className}
    />
  );
}
