import type * as En from "../en/folder";
import type { Like } from "../like";

export const FOLDER: Like<typeof En.FOLDER> = {
  untitled: "Sin título",
  readme: (title, day) => `${title}
${"=".repeat(Math.min(72, title.length))}

Hecho con Fastigo el ${day}.

Abre index.html en cualquier navegador. No hace falta nada más: ni red, ni servidor, ni cuenta.

index.html     la línea de tiempo: comienzo, gráfico, texto, índice y una práctica
data.json      todo lo que contiene, en el formato JSON abierto de Fastigo; Fastigo lo lee de nuevo
data.csv       lo mismo como tabla, para hojas de cálculo (UTF-8, comas)
sources.bib    las fuentes, como BibTeX, donde las hay
media/         imágenes, vídeos y sonidos, cada uno en su carpeta, en los tamaños que muestra la página
reader/        lo que mueve el gráfico
fonts/         los tipos de letra, con sus licencias

Si algún día ningún navegador abriera index.html: data.json y data.csv son texto plano y dicen cada fecha,
título, texto, lugar, crédito y fuente. Las fechas están como se escribieron, y al lado según ISO 8601-2.
Las imágenes son archivos WebP o JPEG; las de media/*/large son las más grandes.
`,
};

export const archiveReadme = (): string => `Todo lo mío, de Fastigo

archive.json                  qué es esto, y cuántas líneas de tiempo y clases siguen
account.json                  la cuenta, sus clases, lo entregado con sus calificaciones, prácticas, aspectos
timelines/N/index.json        los archivos de una línea de tiempo, con el SHA-256 de cada uno
timelines/N/timeline.json     la línea de tiempo, en el formato JSON abierto de Fastigo
timelines/N/history.json      cada cambio que se le hizo: cuándo, por quién, los pasos, qué había antes
timelines/N/media/ID          sus imágenes, vídeos y sonidos
classes/N/class.json          una clase que das: alumnado, tareas, lo entregado al pie de la letra, calificaciones
classes/N/works/M/            las líneas de tiempo de sus grupos con sus medios, como las de arriba
classes/N/index.json          el SHA-256 de class.json

En cualquier Fastigo: entra, abre tu cuenta y elige este archivo en «Traer todo de vuelta».
`;
