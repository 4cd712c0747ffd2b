namespace YellowPencil.Web.Tests;

/// <summary>A database as an earlier version left it.</summary>
internal static class OldDatabase
{
    /// <summary>What pg_dump wrote of it, without its comments.</summary>
    public static string Sql
    {
        get
        {
            using var reader = new StreamReader(typeof(OldDatabase).Assembly.GetManifestResourceStream("OldDatabase.sql")!);
            return reader.ReadToEnd();
        }
    }
}
