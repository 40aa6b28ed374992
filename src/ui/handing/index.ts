export { Sharing, type SharingProps } from "./Sharing";
export { Mailing, type MailingProps } from "./Mailing";
export { Download, type DownloadProps } from "./Download";
export { FindThing } from "./FindThing";
