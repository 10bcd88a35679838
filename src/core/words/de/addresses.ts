/** Was aus einer Webadresse wurde, als sie gefragt wurde; "" wo alles gut ist. */
export function addressText(state: string, status: number | null, on: string): string {
  switch (state) {
    case "gone":
      return `Dort ist nichts mehr (${on}, Status ${status}). Sieh nach, wohin es umgezogen ist, oder nimm eine andere Quelle.`;
    case "refuses":
      return status === null
        ? `Sie führt von einer Adresse zur nächsten und nie zu einer Seite (${on}). Öffne sie und sieh, ob sie noch zeigt, was du meinst.`
        : `Sie hat geantwortet, Fastigo aber nichts gezeigt (${on}, Status ${status}). Öffne sie und sieh, ob sie noch zeigt, was du meinst.`;
    case "silent":
      return `Am ${on} kam keine Antwort. Vielleicht gibt es sie nicht mehr, oder sie ist eine Weile nicht erreichbar; öffne sie, oder frag später noch einmal.`;
    case "private":
      return "Sie führt in ein privates Netz; wer anderswo liest, kann sie nicht öffnen.";
    default:
      return "";
  }
}
