import sharp from "sharp";
import { type Actor, school, signUp } from "./actor";
import { type Attack, expectThat } from "./attack";
import { halfDone } from "./outages";

export const KILLS: Attack[] = [
  {
    name: "SIGKILL while publishing, submitting, uploading and beginning",
    async run({ server, sql, full }) {
      const { assignment, pupil } = await school(server.url);
      const nia = await signUp(server.url, "Nia");
      const t = await nia.timeline();
      const png = await sharp({ create: { width: 900, height: 700, channels: 3, background: "#B4481E" } })
        .png()
        .toBuffer();
      const kills = full ? 50 : 5;
      let acknowledged = 0;
      for (let n = 0; n < kills; n++) {
        const beginner = await pupil(`P${n}`);
        await nia.change(t, [{ kind: "add_event", id: `e${n}`, fields: { title: `Event ${n}` } }]);
        const upload = await nia.send(t, Buffer.concat([png, Buffer.from([n])]));
        const done: Record<string, unknown> = {};
        const keep = (name: string, path: string, method = "POST", body?: unknown, who: Actor = nia) =>
          who.ask(method, path, body).then(
            (r) => {
              if (r.status === 200) done[name] = r.json;
            },
            () => {},
          );
        const all = Promise.all([
          keep("publication", `/api/timelines/${t}/publication`, "PUT", { visibility: "link", fresh: true }),
          keep("media", `/api/timelines/${t}/uploads/${upload}`),
          keep("group", `/api/assignments/${assignment}/group`, "POST", undefined, beginner).then(async () => {
            const begun = done.group as { timeline: string } | undefined;
            if (begun)
              await keep("submission", `/api/timelines/${begun.timeline}/submission`, "POST", undefined, beginner);
          }),
        ]);
        // Each time a little later, so that every step of each deed is met once.
        await new Promise((resolve) => setTimeout(resolve, (n * 230) % 1_900));
        await server.kill();
        await all;
        await server.restart();
        const found = await halfDone(sql);
        expectThat(found.length === 0, `after kill ${n + 1}: ${found.join("; ")}`);
        // What was acknowledged is there.
        const media = (done.media as { media: { id: string } } | undefined)?.media.id;
        if (media)
          expectThat((await sql`select from media where id = ${media}`).length === 1, "an acknowledged file is gone");
        const group = (done.group as { timeline: string } | undefined)?.timeline;
        if (group)
          expectThat(
            (await sql`select from group_work where timeline_id = ${group}`).length === 1,
            "acknowledged work is gone",
          );
        const receipt = (done.submission as { receipt: { hash: string } } | undefined)?.receipt.hash;
        if (receipt)
          expectThat(
            (await sql`select from submission where hash = ${receipt}`).length === 1,
            "an acknowledged submission is gone",
          );
        acknowledged += Object.keys(done).length;
        // Whoever was in the middle of it does it again.
        const again = await nia.ask("POST", `/api/timelines/${t}/uploads/${upload}`);
        expectThat(again.status === 200, `the upload again: ${again.status}`);
        const begun = await beginner.ask("POST", `/api/assignments/${assignment}/group`);
        expectThat([200, 409].includes(begun.status), `begin again: ${begun.status}`);
      }
      return `${kills} kills, ${acknowledged} deeds acknowledged before them, 0 lost, nothing half done`;
    },
  },
];
