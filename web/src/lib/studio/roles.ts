/** What the roles of a studio are called, and what each may do, in a line. */
import type { Schemas } from "../api/client";

export type Role = Schemas["Me"]["role"];

export const ROLES: Record<Role, { name: string; may: string }> = {
  owner: { name: "Owner", may: "Everything: members, house rules, erasing for good, who saw what." },
  stylist: {
    name: "Stylist",
    may: "Clients and all work on them; files, papers and links out of the house.",
  },
  apprentice: {
    name: "Apprentice",
    may: "All work on the clients assigned; measures wait for a second pair of eyes; nothing leaves the house.",
  },
  front_desk: {
    name: "Front desk",
    may: "The diary, what clients are called and how they are reached. No body, picture or look.",
  },
};
export const ROLE_KEYS = Object.keys(ROLES) as Role[];
