using System.Text;
using Microsoft.Win32.SafeHandles;
using YellowPencil.Cli;

var utf8 = new UTF8Encoding(encoderShouldEmitUTF8Identifier: false);
using var error = new StreamWriter(Console.OpenStandardError(), utf8) { AutoFlush = true };
try
{
    return CommandLine.Run(args, Console.OpenStandardInput(), new StreamWriter(Output(), utf8, bufferSize: 1 << 16), error);
}
catch (Exception fault) when (fault is IOException or ArgumentException or UnauthorizedAccessException)
{
    error.WriteLine($"yellowpencil: the output cannot be written: {fault.Message}");
    return CommandLine.Unusable;
}

// The console's own stream hides that a pipe was closed; a stream on the descriptor writes over what several calls put into one file.
static Stream Output()
{
    var direct = new FileStream(new SafeFileHandle(1, ownsHandle: false), FileAccess.Write, bufferSize: 0);
    return direct.CanSeek ? Console.OpenStandardOutput() : direct;
}
