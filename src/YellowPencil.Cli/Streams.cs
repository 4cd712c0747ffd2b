using System.Text;

namespace YellowPencil.Cli;

/// <summary>Where a call reads and writes.</summary>
internal sealed record Streams(Stream Input, TextWriter Output, TextWriter Error)
{
    /// <summary>The longest text of one sheet, in bytes.</summary>
    public const int LongestText = 4_000_000;

    private static readonly UTF8Encoding Strict = new(encoderShouldEmitUTF8Identifier: false, throwOnInvalidBytes: true);

    /// <summary>The text of a file, or of the standard input for "-".</summary>
    public string ReadAll(string file)
    {
        using var stream = Open(file);
        using var all = new MemoryStream();
        try
        {
            stream.CopyTo(all);
        }
        catch (Exception e) when (e is IOException or UnauthorizedAccessException or NotSupportedException)
        {
            throw new UnusableInput($"{file}: {e.Message}");
        }

        return Text(all.GetBuffer().AsSpan(0, (int)all.Length), out var fault) ?? throw new UnusableInput($"{file}: {fault}");
    }

    /// <summary>The lines of a file that are not empty, one after the other as they come in, with their numbers from 1; what is wrong instead of the text of one that cannot be read.</summary>
    public IEnumerable<(int Number, string? Text, string? Fault)> ReadLines(string file)
    {
        using var stream = Open(file);
        var buffer = new byte[1 << 16];
        using var line = new MemoryStream();
        var number = 1;
        var isTooLong = false;
        while (true)
        {
            int count;
            try
            {
                count = stream.Read(buffer);
            }
            catch (Exception e) when (e is IOException or UnauthorizedAccessException or NotSupportedException)
            {
                throw new UnusableInput($"{file}: {e.Message}");
            }

            for (var from = 0; from < count;)
            {
                var end = Array.IndexOf(buffer, (byte)'\n', from, count - from);
                var to = end < 0 ? count : end;
                isTooLong |= line.Length + to - from > LongestText;
                if (!isTooLong) line.Write(buffer, from, to - from);
                from = to + 1;
                if (end < 0) break;
                if (Finished() is { } whole) yield return whole;
            }

            if (count > 0) continue;
            if (Finished() is { } last) yield return last;
            yield break;
        }

        (int Number, string? Text, string? Fault)? Finished()
        {
            var fault = isTooLong ? $"has more than {LongestText} bytes" : null;
            var text = isTooLong ? null : Text(line.GetBuffer().AsSpan(0, (int)line.Length), out fault);
            line.SetLength(0);
            isTooLong = false;
            var found = (number++, text, fault);
            return fault is null && string.IsNullOrWhiteSpace(text) ? null : found;
        }
    }

    private Stream Open(string file)
    {
        if (file == "-") return Input;
        if (file.Length == 0) throw new UnusableInput("the name of a file is empty; - reads the standard input");
        try
        {
            return File.OpenRead(file);
        }
        catch (Exception e) when (e is IOException or UnauthorizedAccessException or NotSupportedException or ArgumentException)
        {
            throw new UnusableInput($"{file}: {e.Message}");
        }
    }

    private static string? Text(ReadOnlySpan<byte> bytes, out string? fault)
    {
        fault = null;
        try
        {
            return Strict.GetString(bytes.StartsWith(Encoding.UTF8.Preamble) ? bytes[Encoding.UTF8.Preamble.Length..] : bytes);
        }
        catch (DecoderFallbackException e)
        {
            fault = $"this is not UTF-8 (byte {e.Index + 1})";
            return null;
        }
    }
}

/// <summary>Input that cannot be used; the message says which and where.</summary>
internal sealed class UnusableInput(string message) : Exception(message);
