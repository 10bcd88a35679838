export function lateText(seconds: number): string {
  if (seconds <= 0) return "";
  const [n, one, many] =
    seconds < 5_400
      ? ([Math.max(1, Math.round(seconds / 60)), "minuto", "minutos"] as const)
      : seconds < 129_600
        ? ([Math.round(seconds / 3_600), "hora", "horas"] as const)
        : ([Math.round(seconds / 86_400), "día", "días"] as const);
  return `${n} ${n === 1 ? one : many} tarde`;
}
