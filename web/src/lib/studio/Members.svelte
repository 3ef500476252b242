<script lang="ts">
  /** Who works here, as what; who was asked in; and whether everybody signs in with a second factor. */
  import { onMount } from "svelte";
  import { api, ask, type Schemas } from "../api/client";
  import { studio } from "../studio.svelte";
  import { notice } from "../ui/notice.svelte";
  import { day } from "../units";
  import { ROLE_KEYS, ROLES, type Role } from "./roles";

  type Member = Schemas["MemberRowOut"];
  let rows = $state.raw<Member[] | null>(null);
  let invited = $state.raw<Schemas["InvitationOut"][]>([]);
  let fresh = $state.raw<Schemas["InvitedOut"] | null>(null);
  let email = $state("");
  let role = $state<Role>("stylist");
  let trouble = $state<string | null>(null);
  let inviting = $state<string | null>(null);

  async function load() {
    const [members, standing] = await Promise.all([
      ask(api.GET("/api/members")),
      ask(api.GET("/api/invitations")),
    ]);
    if ("data" in members) rows = members.data;
    else trouble = members.refusal.message;
    if ("data" in standing) invited = standing.data;
  }
  onMount(() => void load());

  async function change(member: Member, body: Schemas["MemberChange"], undo?: Schemas["MemberChange"]) {
    const path = { member_id: member.id };
    const told = await ask(api.PATCH("/api/members/{member_id}", { params: { path }, body }));
    trouble = "refusal" in told ? told.refusal.message : null;
    await load();
    if ("data" in told && undo)
      notice.say(`${member.name} does not work here any more.`, {
        name: "Undo",
        run: () => void change(member, undo),
      });
    // One's own role may have changed.
    if (member.id === studio.me?.member) await studio.load();
  }

  async function invite(event: SubmitEvent) {
    event.preventDefault();
    const told = await ask(api.POST("/api/invitations", { body: { email, role } }));
    inviting = "refusal" in told ? told.refusal.message : null;
    if ("refusal" in told) return;
    fresh = told.data;
    email = "";
    await load();
  }

  async function takeBack(one: Schemas["InvitationOut"]) {
    const path = { invitation_id: one.id };
    const told = await ask(api.DELETE("/api/invitations/{invitation_id}", { params: { path } }));
    if ("refusal" in told) trouble = told.refusal.message;
    if (fresh?.id === one.id) fresh = null;
    await load();
  }

  async function require(wanted: boolean) {
    const refusal = await studio.change({ second_factor: wanted });
    trouble = refusal?.message ?? null;
    await studio.load();
  }
</script>

{#if trouble}<p class="mt-2 text-madder" role="alert">{trouble}</p>{/if}
{#if !rows}
  <p class="mt-3 text-sm text-bark" role="status">Looking them up…</p>
{:else}
  <div class="relative mt-4 overflow-x-auto">
    <table class="w-full">
      <thead class="text-left text-sm text-bark">
        <tr class="border-b border-rule">
          <th class="py-1 font-normal" scope="col">Name</th>
          <th class="py-1 font-normal" scope="col">Role</th>
          <th class="py-1 font-normal" scope="col">Second factor</th>
          <th class="py-1 font-normal" scope="col">Signed in last</th>
          <th class="py-1 font-normal" scope="col">Clients by name</th>
          <th class="py-1 font-normal" scope="col"><span class="sr-only">What to do</span></th>
        </tr>
      </thead>
      <tbody>
        {#each rows as member (member.id)}
          <tr class="border-b border-grain" class:text-bark={!member.active} data-member={member.email}>
            <td class="py-1.5 pr-4">
              <span class="font-medium">{member.name}</span>
              <span class="block text-sm text-bark">{member.email}</span>
            </td>
            <td class="pr-4">
              {#if member.active}
                <select
                  class="field w-auto"
                  aria-label="Role of {member.name}"
                  value={member.role}
                  onchange={(event) => void change(member, { role: event.currentTarget.value as Role })}
                >
                  {#each ROLE_KEYS as key (key)}<option value={key}>{ROLES[key].name}</option>{/each}
                </select>
              {:else}has left{/if}
            </td>
            <td class="pr-4">{member.second_factor ? "set up" : "none"}</td>
            <td class="pr-4">{member.last_sign_in ? day(member.last_sign_in) : "never"}</td>
            <td class="pr-4">{member.assigned || ""}</td>
            <td class="text-right">
              {#if member.active}
                <button class="quiet" onclick={() => void change(member, { active: false }, { active: true })}
                  >Has left</button
                >
              {:else}
                <button class="quiet" onclick={() => void change(member, { active: true })}
                  >Take in again</button
                >
              {/if}
            </td>
          </tr>
        {/each}
      </tbody>
    </table>
  </div>
  <div class="mt-8 grid gap-x-14 gap-y-8 lg:grid-cols-2">
    <section aria-labelledby="invite">
      <h2 id="invite" class="heading text-xl">Ask somebody in</h2>
      <form class="mt-2 flex flex-wrap items-end gap-3" onsubmit={invite}>
        <label class="grow text-sm"
          >Email address<input
            id="invite-email"
            type="email"
            class="field"
            required
            bind:value={email}
          /></label
        >
        <label class="text-sm"
          >as
          <select class="field w-auto" bind:value={role} aria-label="As what">
            {#each ROLE_KEYS as key (key)}<option value={key}>{ROLES[key].name}</option>{/each}
          </select>
        </label>
        <button class="press" data-main>Invite</button>
      </form>
      <p class="mt-2 text-sm text-bark">{ROLES[role].may}</p>
      {#if inviting}<p class="mt-2 text-madder" role="alert">{inviting}</p>{/if}
      {#if fresh}
        <div class="mt-3 border-l-[3px] border-leaf pl-3 text-sm" data-invited>
          <p role="status">
            {fresh.sent
              ? `A letter is on its way to ${fresh.email}.`
              : "No letter was sent. Give them this address yourself:"}
            It holds until {day(fresh.ends_at)}.
          </p>
          <p class="mt-1 break-all"><a class="underline" href={fresh.link}>{fresh.link}</a></p>
        </div>
      {/if}
      {#if invited.length}
        <ul class="mt-4 border-t border-rule text-sm">
          {#each invited as one (one.id)}
            <li class="flex items-center gap-3 border-b border-grain py-1">
              <span class="grow">{one.email}, {ROLES[one.role].name.toLowerCase()}</span>
              <span class="text-bark">
                {new Date(one.ends_at) > new Date()
                  ? `until ${day(one.ends_at)}`
                  : `ended ${day(one.ends_at)}`}
              </span>
              <button class="quiet" onclick={() => void takeBack(one)}>Take back</button>
            </li>
          {/each}
        </ul>
      {/if}
    </section>
    <section aria-labelledby="factor">
      <h2 id="factor" class="heading text-xl">Signing in</h2>
      <label class="mt-2 flex min-h-8 items-center gap-2">
        <input
          type="checkbox"
          checked={studio.me?.studio.second_factor}
          onchange={(event) => void require(event.currentTarget.checked)}
        />
        Everybody here needs a second factor
      </label>
      <p class="text-sm text-bark">
        Whoever has none sets one up under Account before anything of a client opens.
      </p>
    </section>
  </div>
{/if}
