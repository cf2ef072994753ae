/** Each growth as a panel: what was measured, and the line of least squares through it. */
export function drawn(growth) {
  const [width, height, room] = [210, 150, 36];
  const panels = growth.map(({ what, counts, ms }, i) => {
    const x = (count) => room + (count / Math.max(...counts)) * (width - room - 14);
    const y = (value) => height - room + 8 - (value / Math.max(...ms)) * (height - room - 26);
    const mean = (values) => values.reduce((sum, value) => sum + value, 0) / values.length;
    const [mx, my] = [mean(counts), mean(ms)];
    const slope =
      counts.reduce((sum, count, k) => sum + (count - mx) * (ms[k] - my), 0) /
      counts.reduce((sum, count) => sum + (count - mx) ** 2, 0);
    const at = (count) => my + slope * (count - mx);
    const last = Math.max(...counts);
    const text = (tx, ty, content, anchor = 'middle') =>
      `<text x="${tx.toFixed(1)}" y="${ty.toFixed(1)}" text-anchor="${anchor}">${content}</text>`;
    return [
      `<g transform="translate(${i * width} 0)">`,
      text(width / 2, 14, what),
      `<path d="M${room} ${y(Math.max(...ms))}V${y(0)}H${x(last)}" fill="none" stroke="#8a8178"/>`,
      `<path d="M${x(0)} ${y(at(0)).toFixed(1)}L${x(last)} ${y(at(last)).toFixed(1)}" stroke="#b8522e"/>`,
      ...counts.flatMap((count, k) => [
        `<circle cx="${x(count).toFixed(1)}" cy="${y(ms[k]).toFixed(1)}" r="3" fill="#231b17"/>`,
        text(x(count), y(0) + 14, count),
      ]),
      text(room - 4, y(Math.max(...ms)) + 4, `${Math.max(...ms).toFixed(0)} ms`, 'end'),
      text(room - 4, y(0) + 4, '0', 'end'),
      '</g>',
    ].join('\n');
  });
  return `<svg xmlns="http://www.w3.org/2000/svg" width="${width * growth.length}" height="${height}" font-family="sans-serif" font-size="11" fill="#231b17">\n<rect width="100%" height="100%" fill="#f5f2ec"/>\n${panels.join('\n')}\n</svg>\n`;
}
