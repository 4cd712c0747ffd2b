using System.Buffers.Binary;
using System.IO.Compression;
using PdfSharp.Fonts;

namespace YellowPencil.Web.Printing;

/// <summary>The fonts of the application for PDF files: the print and the pencil hand, from the web fonts that the browser is served.</summary>
/// <param name="folder">Where the web fonts lie, as WOFF files.</param>
internal sealed class PdfFonts(string folder) : IFontResolver
{
    /// <summary>The name of the print.</summary>
    public const string Print = "print";

    /// <summary>The name of the pencil hand.</summary>
    public const string Hand = "hand";

    /// <inheritdoc/>
    public FontResolverInfo? ResolveTypeface(string familyName, bool isBold, bool isItalic) => new(familyName == Hand ? "patrick-hand-latin-400-normal" : $"atkinson-hyperlegible-next-latin-{(isBold ? 700 : 400)}-normal");

    /// <inheritdoc/>
    public byte[] GetFont(string faceName) => Unpacked(File.ReadAllBytes(Path.Combine(folder, $"{faceName}.woff")));

    /// <summary>A text with what the print has no glyph for in signs that it has: words of a specialist's own may hold anything.</summary>
    public static string Readable(string text) => string.Concat(text.Select(c => c switch { '→' => ">", '√' => "root ", '≤' => "<=", '≥' => ">=", '…' => "...", _ => c.ToString() }));

    /// <summary>
    /// The TrueType font inside a WOFF 1.0 file, whose tables are packed one by one with zlib (W3C Recommendation "WOFF File Format 1.0").
    /// </summary>
    internal static byte[] Unpacked(ReadOnlySpan<byte> woff)
    {
        const int HeaderLength = 44, EntryLength = 20, FontHeaderLength = 12, FontEntryLength = 16;
        if (woff.Length < HeaderLength || !woff[..4].SequenceEqual("wOFF"u8)) throw new InvalidDataException("this is no WOFF file");
        int tables = BinaryPrimitives.ReadUInt16BigEndian(woff[12..]);
        var font = new byte[BinaryPrimitives.ReadInt32BigEndian(woff[16..])];
        woff.Slice(4, 4).CopyTo(font);
        BinaryPrimitives.WriteUInt16BigEndian(font.AsSpan(4), (ushort)tables);
        var log = int.Log2(tables);
        BinaryPrimitives.WriteUInt16BigEndian(font.AsSpan(6), (ushort)(16 << log));
        BinaryPrimitives.WriteUInt16BigEndian(font.AsSpan(8), (ushort)log);
        BinaryPrimitives.WriteUInt16BigEndian(font.AsSpan(10), (ushort)(16 * tables - (16 << log)));
        var at = FontHeaderLength + FontEntryLength * tables;
        for (var table = 0; table < tables; table++)
        {
            var entry = woff.Slice(HeaderLength + EntryLength * table, EntryLength);
            var (offset, packed, length) = (BinaryPrimitives.ReadInt32BigEndian(entry[4..]), BinaryPrimitives.ReadInt32BigEndian(entry[8..]), BinaryPrimitives.ReadInt32BigEndian(entry[12..]));
            var place = font.AsSpan(FontHeaderLength + FontEntryLength * table);
            entry[..4].CopyTo(place); // the tag
            entry.Slice(16, 4).CopyTo(place[4..]); // the checksum
            BinaryPrimitives.WriteInt32BigEndian(place[8..], at);
            BinaryPrimitives.WriteInt32BigEndian(place[12..], length);
            if (packed == length)
            {
                woff.Slice(offset, length).CopyTo(font.AsSpan(at));
            }
            else
            {
                using var unpacking = new ZLibStream(new MemoryStream(woff.Slice(offset, packed).ToArray()), CompressionMode.Decompress);
                unpacking.ReadExactly(font.AsSpan(at, length));
            }

            at += (length + 3) / 4 * 4;
        }

        return font;
    }

    /// <summary>Which characters a TrueType font has a glyph for, from its table of characters of the basic plane (format 4).</summary>
    internal static HashSet<char> CharactersOf(ReadOnlySpan<byte> font)
    {
        var characters = new HashSet<char>();
        var map = TableOf(font, "cmap"u8);
        for (var table = 0; table < BinaryPrimitives.ReadUInt16BigEndian(map[2..]); table++)
        {
            var format = map[BinaryPrimitives.ReadInt32BigEndian(map[(4 + 8 * table + 4)..])..];
            if (BinaryPrimitives.ReadUInt16BigEndian(format) != 4) continue;
            int twice = BinaryPrimitives.ReadUInt16BigEndian(format[6..]);
            for (var segment = 0; segment < twice; segment += 2)
            {
                int end = BinaryPrimitives.ReadUInt16BigEndian(format[(14 + segment)..]), start = BinaryPrimitives.ReadUInt16BigEndian(format[(16 + twice + segment)..]);
                for (var c = start; c <= end && c < char.MaxValue; c++) characters.Add((char)c);
            }
        }

        return characters;
    }

    private static ReadOnlySpan<byte> TableOf(ReadOnlySpan<byte> font, ReadOnlySpan<byte> tag)
    {
        for (var entry = font[12..]; ; entry = entry[16..])
            if (entry[..4].SequenceEqual(tag)) return font[BinaryPrimitives.ReadInt32BigEndian(entry[8..])..];
    }
}
