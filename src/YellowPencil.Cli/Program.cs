using System.Text;
using Microsoft.Win32.SafeHandles;
using YellowPencil.Cli;

// Straight to the descriptors: the console's own stream hides that an output was closed.
var utf8 = new UTF8Encoding(encoderShouldEmitUTF8Identifier: false);
using var error = new StreamWriter(Console.OpenStandardError(), utf8) { AutoFlush = true };
var output = new StreamWriter(new FileStream(new SafeFileHandle(1, ownsHandle: false), FileAccess.Write, bufferSize: 0), utf8, bufferSize: 1 << 16);
return CommandLine.Run(args, Console.OpenStandardInput(), output, error);
