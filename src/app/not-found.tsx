import { NothingHere } from "@/ui/shell";

export default function NotFound() {
  return <NothingHere />;
}
