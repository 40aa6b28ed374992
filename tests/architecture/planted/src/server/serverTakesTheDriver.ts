import { Client } from "pg";
export const wrong = Client;
