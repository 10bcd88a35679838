export function addressText(state: string, status: number | null, on: string): string {
  switch (state) {
    case "gone":
      return `Allí ya no hay nada (${on}, estado ${status}). Busca adónde se ha trasladado, o toma otra fuente.`;
    case "refuses":
      return status === null
        ? `Lleva de una dirección a la siguiente y nunca a una página (${on}). Ábrela y mira si aún muestra lo que quieres decir.`
        : `Respondió, pero no mostró nada a Fastigo (${on}, estado ${status}). Ábrela y mira si aún muestra lo que quieres decir.`;
    case "silent":
      return `El ${on} no dio respuesta. Puede que ya no exista, o que no se alcance por un tiempo; ábrela, o pregunta de nuevo más tarde.`;
    case "private":
      return "Lleva a una red privada; quien lee en otra parte no puede abrirla.";
    default:
      return "";
  }
}
