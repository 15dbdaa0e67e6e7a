/** The icons in use, one by one: the package's own door would bring all of them into the first load. */

export type { LucideIcon } from "lucide-react-native";
export { default as Check } from "lucide-react-native/dist/esm/icons/check";
export { default as ChevronLeft } from "lucide-react-native/dist/esm/icons/chevron-left";
export { default as ChevronRight } from "lucide-react-native/dist/esm/icons/chevron-right";
export { default as CircleAlert } from "lucide-react-native/dist/esm/icons/circle-alert";
export { default as CircleQuestionMark } from "lucide-react-native/dist/esm/icons/circle-question-mark";
export { default as Coins } from "lucide-react-native/dist/esm/icons/coins";
export { default as Delete } from "lucide-react-native/dist/esm/icons/delete";
export { default as Download } from "lucide-react-native/dist/esm/icons/download";
export { default as Eye } from "lucide-react-native/dist/esm/icons/eye";
export { default as FileInput } from "lucide-react-native/dist/esm/icons/file-input";
export { default as FileOutput } from "lucide-react-native/dist/esm/icons/file-output";
export { default as FileText } from "lucide-react-native/dist/esm/icons/file-text";
export { default as ListChecks } from "lucide-react-native/dist/esm/icons/list-checks";
export { default as LogOut } from "lucide-react-native/dist/esm/icons/log-out";
export { default as Pencil } from "lucide-react-native/dist/esm/icons/pencil";
export { default as Plus } from "lucide-react-native/dist/esm/icons/plus";
export { default as Redo2 } from "lucide-react-native/dist/esm/icons/redo-2";
export { default as RefreshCw } from "lucide-react-native/dist/esm/icons/refresh-cw";
export { default as Ruler } from "lucide-react-native/dist/esm/icons/ruler";
export { default as Smartphone } from "lucide-react-native/dist/esm/icons/smartphone";
export { default as Stamp } from "lucide-react-native/dist/esm/icons/stamp";
export { default as Trash2 } from "lucide-react-native/dist/esm/icons/trash-2";
export { default as Undo2 } from "lucide-react-native/dist/esm/icons/undo-2";
export { default as X } from "lucide-react-native/dist/esm/icons/x";
